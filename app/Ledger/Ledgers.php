<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Climate\RoomClimates;
use App\Models\Batch;
use App\Models\BatchEntry;
use Carbon\CarbonImmutable;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\LedgerLine;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\StarterTransfer;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Produce\Ingredient;
use WeakMap;

/**
 * Batches as the core's ledger, computed again only where an entry came or a temperature changed.
 */
final class Ledgers
{
    /**
     * @var WeakMap<Batch, array{string, Ledger}>|null histories, and by which entries and temperatures they were told
     */
    private static ?WeakMap $known = null;

    /**
     * The history, in the order in which things happened, without entries that were reversed; in short where that was kept. What
     * stands in one of the kitchen's places has the temperatures that are known of it.
     */
    public static function history(Batch $batch): Ledger
    {
        $edition = app(RoomClimates::class)->edition();
        if ($batch->relationLoaded('entries')) {
            $edition .= ' ' . count($batch->entries);
        }
        self::$known ??= new WeakMap();
        if ((self::$known[$batch][0] ?? null) !== $edition) {
            self::$known[$batch] = [$edition, $batch->exists ? Snapshots::history($batch) : self::replayed($batch)];
        }

        return self::$known[$batch][1];
    }

    /** All of it, computed from its first line on, whatever was kept of it. */
    public static function replayed(Batch $batch, ?Snapshots $store = null): Ledger
    {
        return new Ledger(
            array_map(static fn(BatchEntry $line): LedgerLine => self::line($batch, $line), $batch->standing()),
            isApart: $batch->is_apart,
            store: $store,
        );
    }

    /**
     * The history with the steps that are due, each when it is due or now where that has passed: what will be, if it is
     * made as planned.
     */
    public static function foreseen(Batch $batch): Ledger
    {
        $open = $batch->openSteps();
        if ($open === []) {
            return self::history($batch);
        }
        $late = max(0.0, $open[0]->due_at->diffInSeconds(CarbonImmutable::now()));
        $lines = [];
        foreach ($open as $step) {
            foreach ($step->step()->entries as $entry) {
                $lines[] = self::placed($batch, $entry, $step->due_at->addSeconds((int) ceil($late)));
            }
        }

        return $lines === [] ? self::history($batch) : self::history($batch)->with(...$lines);
    }

    /** The batch as it is now, or was or will be at another moment. */
    public static function of(Batch $batch, ?CarbonImmutable $at = null): Ledger
    {
        return self::history($batch)->asOf($batch->secondsSinceStart($at ?? CarbonImmutable::now()));
    }

    /**
     * The liquid of a jar as it can be lent at a moment.
     *
     * @throws NotEnough where it has none
     */
    public static function lent(Batch $lender, CarbonImmutable $at): Ingredient
    {
        return StarterTransfer::from($lender->id, $lender->name, self::of($lender, $at))->liquid();
    }

    /** An entry as a line of the ledger. */
    public static function line(Batch $batch, BatchEntry $line): LedgerLine
    {
        return self::placed($batch, $line->read(), $line->happened_at, $line->id);
    }

    private static function placed(Batch $batch, Entry $entry, CarbonImmutable $at, ?string $mark = null): LedgerLine
    {
        $place = $entry instanceof Soak && $entry->room !== null ? Place::tryFrom($entry->room) : null;

        return new LedgerLine(
            $entry instanceof Soak && $place !== null
                ? $entry->at(app(RoomClimates::class)->from($place, $at))
                : $entry,
            $batch->secondsSinceStart($at),
            $mark,
        );
    }
}
