<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Salt\SaltDose;

/**
 * Salt goes in, counted by the product's own sodium and moisture.
 */
final readonly class Salt implements Entry
{
    /** @param  Phase|null  $into  null: the liquid, brine or sauce */
    public function __construct(public SaltDose $dose, public ?Phase $into = null) {}

    public static function kind(): string
    {
        return 'salt';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $salted = $state->receive(
            $this->dose->product->masses($this->dose->gramsAt($point), $point),
            $this->into ?? $state->liquid(),
        );

        return $this->dose->product->potassium ? $salted->holding(Allergen::PotassiumSalt) : $salted;
    }

    public static function read(Fields $fields): self
    {
        return new self(SaltDose::read($fields), $fields->has('into') ? $fields->choice('into', Phase::class) : null);
    }

    public function toArray(): array
    {
        return [
            'kind' => self::kind(),
            ...$this->dose->toArray(),
            ...$this->into === null ? [] : ['into' => $this->into->value],
        ];
    }
}
