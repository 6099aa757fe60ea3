<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Masses;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Salt\SaltDose;

/**
 * Salt goes in, counted by the product's own sodium and moisture.
 */
final readonly class Salt implements Entry
{
    public function __construct(public SaltDose $dose, public Phase $into)
    {
    }

    public static function kind(): string
    {
        return 'salt';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $grams = $this->dose->gramsAt($point);
        $product = $this->dose->product;

        return $state->receive(
            Masses::ofFood($grams, $product->waterPer100g / 100.0, $point->of($product->sodiumPerGram())),
            $this->into,
        );
    }

    public static function read(Fields $fields): self
    {
        return new self(SaltDose::read($fields), $fields->choice('into', Phase::class));
    }

    public function toArray(): array
    {
        return ['kind' => self::kind(), ...$this->dose->toArray(), 'into' => $this->into->value];
    }
}
