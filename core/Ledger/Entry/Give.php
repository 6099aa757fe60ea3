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
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Measure\Grams;

/**
 * A weight of one phase leaves for another batch, or for another kitchen, at its concentration of this moment.
 */
final readonly class Give implements Resolvable
{
    /**
     * @param  string|null  $toBatch  the id of the batch that receives it; null: it leaves the kitchen
     * @param  array<string, Composition>  $differences  between what was booked and what would leave now, by phase
     */
    public function __construct(
        public Served $served,
        public Grams $grams,
        public ?string $toBatch,
        public ?RecordedWithdrawal $booked = null,
        private array $differences = [],
    ) {}

    public static function kind(): string
    {
        return 'give';
    }

    /** The same with what leaves the jar now written down. */
    public function bookedAt(BatchState $state): self
    {
        return new self(
            $this->served,
            $this->grams,
            $this->toBatch,
            RecordedWithdrawal::of($state, $this->parts($state)),
        );
    }

    public function resolve(BatchState $before): self
    {
        return new self(
            $this->served,
            $this->grams,
            $this->toBatch,
            $this->booked,
            RecordedWithdrawal::differences($this->booked, $before, $this->parts($before)),
        );
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        foreach ($this->parts($state) as [$phase, $grams]) {
            $leaving = $state->portion(
                $phase,
                $this->booked === null ? $grams : min($grams, $state->phase($phase)->weightG()),
                $point,
            );
            $state = $state->release(
                $leaving->plus($this->differences[$phase->value] ?? Composition::none()),
                $phase,
                Account::GivenAway,
            );
        }

        return $state;
    }

    public static function read(Fields $fields): self
    {
        return new self(
            $fields->choice('phase', Served::class, Served::Brine),
            $fields->grams(),
            $fields->has('toBatch') ? $fields->text('toBatch') : null,
            $fields->has('booked') ? RecordedWithdrawal::read($fields->child('booked')) : null,
        );
    }

    public function toArray(): array
    {
        return [
            'kind' => self::kind(),
            'phase' => $this->served->value,
            'grams' => $this->grams->value,
            ...$this->toBatch === null ? [] : ['toBatch' => $this->toBatch],
            ...$this->booked === null ? [] : ['booked' => $this->booked->toArray()],
        ];
    }

    /** @return non-empty-list<array{Phase, float}> grams of each phase */
    private function parts(BatchState $state): array
    {
        return $this->served->parts($state, $this->grams->value);
    }
}
