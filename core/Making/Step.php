<?php

declare(strict_types=1);

namespace Tempesal\Core\Making;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Document\Scaling;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Rinse;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\EntryKinds;
use Tempesal\Core\Ledger\Rinsing;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Salt\SaltDose;

/**
 * One step of a making: what it writes into the ledger when it is done, and how long after the step before.
 */
final readonly class Step
{
    /**
     * @param  list<Entry>  $entries  none where nothing is added or taken
     * @param  Seconds  $after  from the step before it until it is due
     */
    public function __construct(public StepKind $kind, public array $entries, public Seconds $after) {}

    public static function now(StepKind $kind, Entry ...$entries): self
    {
        return new self($kind, array_values($entries), Seconds::of(0.0));
    }

    public function after(Seconds $after): self
    {
        return new self($this->kind, $this->entries, $after);
    }

    public function with(Entry ...$more): self
    {
        return new self($this->kind, [...$this->entries, ...array_values($more)], $this->after);
    }

    /**
     * The same with what a scale says of some of its amounts.
     *
     * @param  array<int, Grams>  $weighed  by the place of the entry
     */
    public function weighing(array $weighed): self
    {
        $entries = [];
        foreach ($this->entries as $i => $entry) {
            $grams = $weighed[$i] ?? null;
            $entries[] = match (true) {
                $grams === null => $entry,
                $entry instanceof Add => new Add($entry->ingredient, Band::exact($grams->value), $entry->into),
                $entry instanceof Salt => new Salt(SaltDose::weighed($entry->dose->product, $grams), $entry->into),
                $entry instanceof Starter => new Starter($entry->liquid, $grams, $entry->into, $entry->fromBatch),
                default => $entry,
            };
        }

        return new self($this->kind, $entries, $this->after);
    }

    /** The same rinsed for so long. */
    public function rinsedFor(Seconds $duration): self
    {
        return new self(
            $this->kind,
            array_map(
                static fn(Entry $entry): Entry => $entry instanceof Rinse
                    ? new Rinse(new Rinsing($duration, $entry->washing->temperature), $entry->film, $entry->piece)
                    : $entry,
                $this->entries,
            ),
            $this->after,
        );
    }

    /** The same drained of all but so much brine. */
    public function keeping(Grams $brine): self
    {
        return new self(
            $this->kind,
            array_map(
                static fn(Entry $entry): Entry => $entry instanceof Drain ? new Drain($entry->film, $brine) : $entry,
                $this->entries,
            ),
            $this->after,
        );
    }

    /** How long it is rinsed; null where it is not. */
    public function rinse(): ?Seconds
    {
        foreach ($this->entries as $entry) {
            if ($entry instanceof Rinse) {
                return $entry->washing->duration;
            }
        }

        return null;
    }

    /** The same with so much of everything. */
    public function scaled(float $factor): self
    {
        return new self(
            $this->kind,
            array_map(
                static fn(Entry $entry): Entry => EntryKinds::read(Fields::of(Scaling::of($entry->toArray(), $factor))),
                $this->entries,
            ),
            $this->after,
        );
    }

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->choice('kind', StepKind::class),
            array_map(EntryKinds::read(...), $fields->each('entries')),
            Seconds::of($fields->number('afterSeconds')),
        );
    }

    /** @return array{kind: string, entries: list<array<string, mixed>>, afterSeconds: float} */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind->value,
            'entries' => array_map(static fn(Entry $entry): array => $entry->toArray(), $this->entries),
            'afterSeconds' => $this->after->value,
        ];
    }
}
