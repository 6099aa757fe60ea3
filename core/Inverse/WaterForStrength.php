<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Message\Message;

/**
 * How much water would thin the batch to a strength?
 */
final readonly class WaterForStrength implements InverseQuestion
{
    private function __construct(private TargetStrength $wanted) {}

    public static function read(Fields $fields): self
    {
        return new self(TargetStrength::read($fields));
    }

    public function answer(Ledger $ledger): InverseAnswer
    {
        $strength = Strength::of($ledger->state());
        $now = $strength->share($this->wanted->basis) ?? 0.0;
        if ($now <= $this->wanted->share) {
            return new InverseAnswer(
                null,
                'g',
                $now,
                true,
                Message::of('inverse.water_none', now: $this->wanted->text($now)),
            );
        }
        $water = $strength->waterToAdd($this->wanted->share, $this->wanted->basis)->value;

        return new InverseAnswer(
            $water,
            'g',
            $this->wanted->share,
            true,
            Message::of(
                'inverse.water',
                grams: round($water, 0),
                now: $this->wanted->text($now),
                wanted: $this->wanted->text(),
            ),
        );
    }
}
