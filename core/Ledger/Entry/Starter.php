<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Produce\Ingredient;

/**
 * A starter goes in: whey, kombucha, vinegar, or the brine of another batch as it was at that moment.
 */
final readonly class Starter implements Entry
{
    /**
     * @param  Ingredient  $liquid  what it was made of when it was taken; later changes of its source do not reach it
     * @param  string|null  $fromBatch  the id of the batch that gave it
     */
    public function __construct(
        public Ingredient $liquid,
        public Grams $grams,
        public Phase $into,
        public ?string $fromBatch = null,
    ) {
    }

    public function into(Phase $phase): self
    {
        return new self($this->liquid, $this->grams, $phase, $this->fromBatch);
    }

    public static function kind(): string
    {
        return 'starter';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        return $state->receive($this->liquid->masses($this->grams->value, $point), $this->into);
    }

    public static function read(Fields $fields): self
    {
        return new self(
            Ingredient::read($fields->child('liquid')),
            $fields->grams(),
            $fields->choice('into', Phase::class),
            $fields->has('fromBatch') ? $fields->text('fromBatch') : null,
        );
    }

    public function toArray(): array
    {
        return [
            'kind' => self::kind(),
            'liquid' => $this->liquid->toArray(),
            'grams' => $this->grams->value,
            'into' => $this->into->value,
            'fromBatch' => $this->fromBatch,
        ];
    }
}
