<?php

declare(strict_types=1);

namespace Tempesal\Core\Produce;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Uptake\Piece;

/**
 * A part of a food that is cut in its own way: the ribs of a cabbage beside its leaves, whole cloves beside cut ones.
 */
final readonly class CutShare
{
    /**
     * @param  float  $share  of the food's weight, 0 to 1
     * @param  Band|null  $reachMm  half the thickness, or the radius; null: as such cuts usually are
     */
    public function __construct(public PieceShape $shape, public float $share, public ?Band $reachMm = null) {}

    /**
     * The cuts of a food, together all of it; none where all of it is cut alike.
     *
     * @return list<self>
     *
     * @throws InvalidField
     */
    public static function readAll(Fields $fields, string $key): array
    {
        $cuts = [];
        $sum = 0.0;
        foreach ($fields->each($key) as $one) {
            $shape = $one->choice('shape', PieceShape::class);
            $share = $one->share('share');
            $reach = $one->has('reachMm') ? $one->band('reachMm', null, 0.05, 500.0) : null;
            $reach = $reach !== null && $one->isNumber('reachMm') ? Piece::roughly($reach->typical) : $reach;
            $sum += $share;
            if ($share > 0.0) {
                $cuts[] = new self($shape, $share, $reach);
            }
        }
        if ($cuts !== [] && abs($sum - 1.0) > 0.001) {
            throw $fields->invalid($key, Message::of('errors.cuts_sum'));
        }

        return array_map(static fn(self $cut): self => new self($cut->shape, $cut->share / $sum, $cut->reachMm), $cuts);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'shape' => $this->shape->value,
            'share' => $this->share,
            ...$this->reachMm === null ? [] : ['reachMm' => $this->reachMm->toArray()],
        ];
    }
}
