<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Salt\SaltProduct;

/**
 * How much salt would bring the batch to a strength?
 */
final readonly class SaltForStrength implements InverseQuestion
{
    private function __construct(private TargetStrength $wanted, private SaltProduct $product) {}

    public static function read(Fields $fields): self
    {
        return new self(
            TargetStrength::read($fields),
            $fields->has('product') ? SaltProduct::read($fields->child('product')) : SaltProduct::pure(),
        );
    }

    public function answer(Ledger $ledger): InverseAnswer
    {
        $strength = Strength::of($ledger->state());
        $now = $strength->share($this->wanted->basis) ?? 0.0;
        $salt = $strength->saltToAdd($this->wanted->share, $this->wanted->basis, $this->product)->value;
        if ($now >= $this->wanted->share) {
            return new InverseAnswer(
                null,
                'g',
                $now,
                true,
                Message::of('inverse.salt_none', now: $this->wanted->text($now)),
            );
        }

        return new InverseAnswer(
            $salt,
            'g',
            $this->wanted->share,
            true,
            Message::of(
                'inverse.salt',
                grams: round($salt, 1),
                name: $this->product->name,
                now: $this->wanted->text($now),
                wanted: $this->wanted->text(),
            ),
        );
    }
}
