<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Salt\SaltProduct;

/**
 * How much salt would bring the batch to a strength?
 */
final readonly class SaltForStrength implements InverseQuestion
{
    private function __construct(private TargetStrength $wanted, private SaltProduct $product)
    {
    }

    public static function read(Fields $fields): self
    {
        return new self(TargetStrength::read($fields), $fields->has('product') ? SaltProduct::read($fields->child('product')) : SaltProduct::pure());
    }

    public function answer(Ledger $ledger): InverseAnswer
    {
        $strength = Strength::of($ledger->state());
        $now = $strength->share($this->wanted->basis) ?? 0.0;
        $salt = $strength->saltToAdd($this->wanted->share, $this->wanted->basis, $this->product)->value;
        if ($now >= $this->wanted->share) {
            return new InverseAnswer(null, 'g', $now, true, "It is at {$this->wanted->text($now)} already; no salt is needed.");
        }

        return new InverseAnswer($salt, 'g', $this->wanted->share, true, sprintf('%.1f g of %s bring it from %s to %s.', $salt, $this->product->name, $this->wanted->text($now), $this->wanted->text()));
    }
}
