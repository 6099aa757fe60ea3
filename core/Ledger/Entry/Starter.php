<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\Account;
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
     * @param  Phase|null  $into  null: the liquid, brine or sauce
     * @param  string|null  $fromBatch  the id of the batch that gave it
     */
    public function __construct(
        public Ingredient $liquid,
        public Grams $grams,
        public ?Phase $into = null,
        public ?string $fromBatch = null,
    ) {}

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
        $next = $state->receiveFood(
            $this->liquid,
            $this->grams->value,
            $this->into ?? $state->liquid(),
            $point,
            $this->fromBatch === null ? Account::Outside : Account::Received,
        );

        return $this->liquid->live ? $next->inoculated() : $next;
    }

    public static function read(Fields $fields): self
    {
        return new self(
            Ingredient::read($fields->child('liquid')),
            $fields->grams(),
            $fields->has('into') ? $fields->choice('into', Phase::class) : null,
            $fields->has('fromBatch') ? $fields->text('fromBatch') : null,
        );
    }

    public function toArray(): array
    {
        return [
            'kind' => self::kind(),
            'liquid' => $this->liquid->toArray(),
            'grams' => $this->grams->value,
            ...$this->into === null ? [] : ['into' => $this->into->value],
            ...$this->fromBatch === null ? [] : ['fromBatch' => $this->fromBatch],
        ];
    }
}
