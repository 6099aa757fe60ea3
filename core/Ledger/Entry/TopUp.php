<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Resolvable;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Salt\SaltProduct;

/**
 * The level has sunk: water goes in, or brine of a named strength, or brine as strong as the batch's own.
 */
final readonly class TopUp implements Resolvable
{
    /**
     * @param  Grams  $grams  of water or brine
     * @param  float|null  $strength  salt / (salt + water), 0 to 1; null: as strong as the batch's own
     */
    public function __construct(public Grams $grams, public ?float $strength, public SaltProduct $product) {}

    public static function kind(): string
    {
        return 'top_up';
    }

    public function resolve(BatchState $before): self
    {
        return $this->strength !== null
            ? $this
            : new self($this->grams, $before->phase($before->liquid())->brineStrength(), $this->product);
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $salt = $this->grams->value * ($this->strength ?? 0.0);
        $water = Composition::water($this->grams->value - $salt);

        return $state->receive($water->plus($this->product->masses($salt, $point)), $state->liquid());
    }

    public static function read(Fields $fields): self
    {
        $isOwn = $fields->has('strength') && $fields->isText('strength');
        if ($isOwn && $fields->text('strength') !== 'own') {
            throw $fields->invalid('strength', Message::of('errors.share_or_own'));
        }
        $strength = $isOwn ? null : $fields->share('strength', 0.0);
        if ($strength !== null && $strength > SodiumChloride::STRONGEST) {
            throw $fields->invalid('strength', Message::of('errors.brine_too_strong'));
        }

        return new self(
            $fields->grams(),
            $strength,
            $fields->has('product') ? SaltProduct::read($fields->child('product')) : SaltProduct::pure(),
        );
    }

    public function toArray(): array
    {
        return [
            'kind' => self::kind(),
            'grams' => $this->grams->value,
            'strength' => $this->strength ?? 'own',
            'product' => $this->product->toArray(),
        ];
    }
}
