<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\Jar;
use App\Models\PlannedBatch;
use App\Week\ShelfAhead;
use Tempesal\Core\Supply\Kind;
use Tempesal\Core\Supply\Lot;

/**
 * The weeks ahead: the jars as lanes, what runs out when, and what to start.
 */
final class TimelineView
{
    /** @return array<string, mixed> */
    public static function of(ShelfAhead $ahead, ?ShelfAhead $asItIs = null): array
    {
        $names = Jar::query()->pluck('name', 'id');

        return [
            'today' => $ahead->household->today(),
            'days' => ShelfAhead::DAYS,
            'dates' => array_map($ahead->date(...), range(0, ShelfAhead::DAYS - 1)),
            'gapDays' => $ahead->gapDays(),
            'gapDaysAsItIs' => ($asItIs ?? $ahead)->gapDays(),
            'jars' => Jar::query()->get()->sortBy('position')->map(static fn (Jar $jar): array => ['id' => $jar->id, 'name' => $jar->name, 'howMany' => $jar->how_many])->values()->all(),
            'lanes' => self::lanes($ahead),
            'kinds' => array_map(static fn (Kind $kind): array => self::kind($ahead, $kind), $ahead->kinds()),
            'suggestions' => array_map(static fn (Lot $lot): array => self::suggestion($ahead, $lot, (string) ($names[$lot->size] ?? '')), self::inTime($ahead->outlook->added)),
            'planned' => $ahead->planned->map(static fn (PlannedBatch $one): array => [
                'id' => $one->id, 'formulaId' => $one->formula_id, 'name' => $one->formula->name, 'jarId' => $one->jar_id, 'jarName' => $one->jar->name, 'startOn' => $one->start_on,
            ])->values()->all(),
        ];
    }

    /**
     * @param  list<Lot>  $lots
     * @return list<Lot> soonest first
     */
    private static function inTime(array $lots): array
    {
        usort($lots, static fn (Lot $one, Lot $other): int => [$one->start, $one->kind] <=> [$other->start, $other->kind]);

        return $lots;
    }

    /** @return list<array<string, mixed>> jars that hold something at some time */
    private static function lanes(ShelfAhead $ahead): array
    {
        $names = Jar::query()->withoutGlobalScope('present')->pluck('name', 'id');
        $lanes = [];
        foreach (self::inTime($ahead->outlook->lots) as $lot) {
            $key = $lot->vessel ?? "without {$lot->id}";
            $lanes[$key] ??= ['id' => $key, 'jarName' => (string) ($names[$lot->size] ?? 'no jar of the kitchen'), 'lots' => []];
            $lanes[$key]['lots'][] = self::lot($ahead, $lot);
        }
        usort($lanes, static fn (array $one, array $other): int => [$one['jarName'], $one['id']] <=> [$other['jarName'], $other['id']]);

        return $lanes;
    }

    /** @return array<string, mixed> */
    private static function lot(ShelfAhead $ahead, Lot $lot): array
    {
        $run = $ahead->outlook->runs[$lot->kind];
        $tended = $ahead->tended[$lot->id] ?? null;
        $empty = $run->emptyOn[$lot->id] ?? null;
        $first = $run->firstOn[$lot->id] ?? null;

        return [
            'id' => $lot->id,
            'is' => $tended !== null ? 'standing' : (in_array($lot, $ahead->outlook->added, true) ? 'suggested' : 'planned'),
            'batchId' => $tended?->batch->id,
            'name' => $tended->batch->name ?? $ahead->lines[$lot->kind]->name,
            'colour' => $tended->batch->colour ?? self::colour($ahead, $lot->kind),
            'start' => max(0, $lot->start),
            'ready' => $lot->ready,
            'first' => $first,
            'empty' => $empty,
            'startOn' => $ahead->date($lot->start),
            'readyOn' => $ahead->date($lot->ready),
            'emptyOn' => $empty === null ? null : $ahead->date($empty),
            'grams' => $lot->grams,
        ];
    }

    private static function colour(ShelfAhead $ahead, string $kind): string
    {
        return isset($ahead->answers[$kind]) ? $ahead->answers[$kind]->formula->colour() : '#b9ab99';
    }

    /** @return array<string, mixed> */
    private static function kind(ShelfAhead $ahead, Kind $kind): array
    {
        $out = $ahead->outlook->runsOutOn($kind);
        $start = $out === null || $kind->leadDays === [] ? null : $kind->lastStart($out);

        return [
            'id' => $kind->id,
            'name' => $kind->name,
            'colour' => self::colour($ahead, $kind->id),
            'gramsAWeek' => $kind->perDay * 7.0,
            'leadDays' => $kind->leadDays[0] ?? null,
            'runsOutOn' => $out === null ? null : $ahead->date($out),
            'startBy' => $start === null ? null : $ahead->date($start),
            'isTooLate' => $out !== null && $kind->leadDays !== [] && $start === null,
            'months' => $ahead->lines[$kind->id]->months,
            'isInSeason' => $kind->mayStart === [] || $kind->mayStart[0],
            'left' => $ahead->outlook->runs[$kind->id]->left,
            'gaps' => array_map(static fn (array $gap): array => [
                'from' => $ahead->date($gap['from']), 'to' => $ahead->date($gap['to']), 'fromDay' => $gap['from'], 'days' => $gap['to'] - $gap['from'] + 1, 'reason' => $gap['reason'],
            ], $ahead->outlook->gaps($kind)),
        ];
    }

    /** @return array<string, mixed> */
    private static function suggestion(ShelfAhead $ahead, Lot $lot, string $jarName): array
    {
        $line = $ahead->lines[$lot->kind];

        return [
            'lotId' => $lot->id, 'lineId' => $line->id, 'formulaId' => $line->formula_id, 'name' => $line->name, 'colour' => self::colour($ahead, $lot->kind),
            'jarId' => $lot->size, 'jarName' => $jarName, 'share' => $lot->share, 'grams' => $lot->grams,
            'startOn' => $ahead->date($lot->start), 'readyOn' => $ahead->date($lot->ready),
        ];
    }
}
