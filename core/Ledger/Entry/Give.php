<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\RecordedWithdrawal;
use Tempesal\Core\Ledger\Resolvable;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Measure\Grams;

/**
 * A weight of one phase leaves for another batch, or for another kitchen, at its concentration of this moment.
 */
final readonly class Give implements Resolvable
{
    /**
     * @param  string|null  $toBatch  the id of the batch that receives it; null: it leaves the kitchen
     * @param  Composition|null  $difference  between what was booked and what would leave now
     */
    public function __construct(
        public Phase $phase,
        public Grams $grams,
        public ?string $toBatch,
        public ?RecordedWithdrawal $booked = null,
        private ?Composition $difference = null,
    ) {}

    public static function kind(): string
    {
        return 'give';
    }

    /** The same with what leaves the jar now written down. */
    public function bookedAt(BatchState $state): self
    {
        return new self(
            $this->phase,
            $this->grams,
            $this->toBatch,
            RecordedWithdrawal::of($state, [[$this->phase, $this->grams->value]]),
        );
    }

    public function resolve(BatchState $before): self
    {
        $differences = RecordedWithdrawal::differences($this->booked, $before, [[$this->phase, $this->grams->value]]);

        return new self(
            $this->phase,
            $this->grams,
            $this->toBatch,
            $this->booked,
            $differences[$this->phase->value] ?? null,
        );
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $grams =
            $this->booked === null
                ? $this->grams->value
                : min($this->grams->value, $state->phase($this->phase)->weightG());
        $leaving = $state->portion($this->phase, $grams, $point)->plus($this->difference ?? Composition::none());

        return $state->release($leaving, $this->phase, Account::GivenAway);
    }

    public static function read(Fields $fields): self
    {
        return new self(
            $fields->choice('phase', Phase::class, Phase::Brine),
            $fields->grams(),
            $fields->has('toBatch') ? $fields->text('toBatch') : null,
            $fields->has('booked') ? RecordedWithdrawal::read($fields->child('booked')) : null,
        );
    }

    public function toArray(): array
    {
        return [
            'kind' => self::kind(),
            'phase' => $this->phase->value,
            'grams' => $this->grams->value,
            ...$this->toBatch === null ? [] : ['toBatch' => $this->toBatch],
            ...$this->booked === null ? [] : ['booked' => $this->booked->toArray()],
        ];
    }
}
