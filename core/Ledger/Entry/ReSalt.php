<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Resolvable;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Salt\SaltProduct;

/**
 * Salt that brings the whole jar to a wanted strength at rest: a re-used brine with fresh vegetable, a thinned batch.
 */
final readonly class ReSalt implements Resolvable
{
    /**
     * @param  float  $share  wanted, 0.025 for 2.5 %
     * @param  Grams|null  $grams  of the product, once it is worked out
     */
    public function __construct(
        public float $share,
        public SaltBasis $basis,
        public SaltProduct $product,
        public ?Grams $grams = null,
    ) {}

    public static function kind(): string
    {
        return 're_salt';
    }

    public function resolve(BatchState $before): self
    {
        return new self(
            $this->share,
            $this->basis,
            $this->product,
            Strength::of($before)->saltToAdd($this->share, $this->basis, $this->product),
        );
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        return $this->grams === null
            ? $this->resolve($state)->applyTo($state, $point)
            : $state->receive($this->product->masses($this->grams->value, $point), $state->liquid());
    }

    public static function read(Fields $fields): self
    {
        $basis = $fields->choice('basis', SaltBasis::class, SaltBasis::BrineStrength);
        if ($basis === SaltBasis::OfVegetable) {
            throw $fields->invalid('basis', Message::of('errors.resalt_basis'));
        }
        $share = $fields->share('share');
        if ($share > 0.5) {
            throw $fields->invalid('share', Message::of('errors.resalt_share'));
        }

        return new self(
            $share,
            $basis,
            $fields->has('product') ? SaltProduct::read($fields->child('product')) : SaltProduct::pure(),
        );
    }

    public function toArray(): array
    {
        return [
            'kind' => self::kind(),
            'share' => $this->share,
            'basis' => $this->basis->value,
            'product' => $this->product->toArray(),
        ];
    }
}
