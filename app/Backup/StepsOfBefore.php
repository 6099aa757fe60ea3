<?php

declare(strict_types=1);

namespace App\Backup;

use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\EntryKinds;
use Tempesal\Core\Making\Step;
use Tempesal\Core\Making\StepPlan;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Method\Method;

/**
 * Jars that were begun when everything was written into the ledger at once: what had come by then is done, what was
 * written ahead is due.
 */
final class StepsOfBefore
{
    /** What is written with a jar is written within this many seconds of it. */
    private const AT_ONCE_S = 5.0;

    /**
     * @param  array<string, mixed>  $batch  its row
     * @param  list<array<string, mixed>>  $entries  its lines by position
     * @return array{steps: list<array<string, mixed>>, wrote: array<string, string>, ahead: list<string>} rows of
     *     steps; steps of lines by the lines' ids; lines that had not come yet
     */
    public static function of(array $batch, array $entries, CarbonImmutable $now): array
    {
        $nothing = ['steps' => [], 'wrote' => [], 'ahead' => []];
        $method = Method::tryFrom(self::text($batch, 'method'));
        $making = self::making($entries);
        if ($method === null || !$method->isMade() || $making === []) {
            return $nothing;
        }
        $moments = array_map(
            static fn(array $row): CarbonImmutable => CarbonImmutable::parse(self::text($row, 'happened_at')),
            $making,
        );
        $plan = StepPlan::of($method, self::timed($making, $moments));
        $steps = $wrote = $ahead = [];
        $next = 0;
        $moment = $moments[0];
        foreach ($plan->steps as $step) {
            $id = (string) Str::ulid();
            $own = array_slice($making, $next, count($step->entries));
            if (count($own) < count($step->entries)) {
                // What the plan adds of its own, a jar of before did not know.
                break;
            }
            $moment = $own === [] ? $moment : $moments[$next];
            $isAhead = $moment->isAfter($now);
            foreach ($own as $row) {
                if ($isAhead) {
                    $ahead[] = self::text($row, 'id');
                } else {
                    $wrote[self::text($row, 'id')] = $id;
                }
            }
            $planned = new Step(
                $step->kind,
                array_map(static fn(array $row): Entry => self::entry($row), $own),
                $step->after,
            );
            $steps[] = [
                'id' => $id,
                'batch_id' => self::text($batch, 'id'),
                'position' => count($steps) + 1,
                'kind' => $step->kind->value,
                'planned' => json_encode($planned->toArray(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
                'due_at' => $moment->toDateTimeString(),
                'done_at' => $isAhead ? null : $moment->toDateTimeString(),
                'skipped_at' => null,
                'request_key' => null,
                'created_at' => $now->toDateTimeString(),
                'updated_at' => $now->toDateTimeString(),
            ];
            $next += count($own);
        }

        return ['steps' => $steps, 'wrote' => $wrote, 'ahead' => $ahead];
    }

    /**
     * The lines that were written with the jar.
     *
     * @param  list<array<string, mixed>>  $entries
     * @return list<array<string, mixed>>
     */
    private static function making(array $entries): array
    {
        $first = $entries[0] ?? null;
        if ($first === null) {
            return [];
        }
        $began = CarbonImmutable::parse(self::text($first, 'created_at'));
        $making = [];
        foreach ($entries as $row) {
            $isOfThatHour =
                abs($began->diffInSeconds(CarbonImmutable::parse(self::text($row, 'created_at')))) <= self::AT_ONCE_S;
            if (!$isOfThatHour || !isset($row['entry']) || isset($row['request_key'])) {
                break;
            }
            $making[] = $row;
        }

        return $making;
    }

    /**
     * The entries with their waits: a rest lasts until the next moment.
     *
     * @param  list<array<string, mixed>>  $making
     * @param  list<CarbonImmutable>  $moments
     * @return list<Entry>
     */
    private static function timed(array $making, array $moments): array
    {
        $entries = [];
        foreach ($making as $i => $row) {
            $entry = self::entry($row);
            $seconds = isset($moments[$i + 1]) ? $moments[$i]->diffInSeconds($moments[$i + 1]) : 0.0;
            $entries[] = $entry instanceof Soak && $seconds > 0.0 ? Soak::lasting(Seconds::of($seconds)) : $entry;
        }

        return $entries;
    }

    /** @param  array<string, mixed>  $row */
    private static function entry(array $row): Entry
    {
        $entry = $row['entry'] ?? null;

        return EntryKinds::read(
            Fields::of(is_string($entry) ? json_decode($entry, true, 64, JSON_THROW_ON_ERROR) : $entry),
        );
    }

    /** @param  array<string, mixed>  $row */
    private static function text(array $row, string $column): string
    {
        return is_string($row[$column] ?? null) ? $row[$column] : '';
    }
}
