<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\Jar;
use App\Week\LiveAhead;
use App\Week\Makeable;
use App\Week\MoreToMake;
use App\Week\StockAhead;
use LogicException;
use Tempesal\Core\Intake\LabelRounding;
use Tempesal\Core\Message\Day;
use Tempesal\Core\Restock\Product;
use Tempesal\Core\Restock\ScheduledBatch;
use Tempesal\Core\Restock\WayInChoice;
use Tempesal\Core\Restock\WhyStart;

/**
 * The weeks ahead: the jars as lanes, what runs out when, and what to start.
 */
final class TimelineView
{
    /** @return array<string, mixed> */
    public static function of(StockAhead $ahead, ?StockAhead $asItIs = null): array
    {
        /** @var array<string, string> $names */
        $names = Jar::query()->pluck('name', 'id')->all();
        $more = MoreToMake::of($ahead);

        return [
            'today' => $ahead->household->today(),
            'days' => StockAhead::DAYS,
            'dates' => array_map($ahead->date(...), range(0, StockAhead::DAYS - 1)),
            'gapDays' => $ahead->gapDays(),
            'gapDaysAsItIs' => ($asItIs ?? $ahead)->gapDays(),
            'jars' => Jar::query()
                ->orderBy('position')
                ->orderBy('id')
                ->get()
                ->map(
                    static fn(Jar $jar): array => ['id' => $jar->id, 'name' => $jar->name, 'howMany' => $jar->how_many],
                )
                ->values()
                ->all(),
            'lanes' => self::lanes($ahead),
            'kinds' => array_map(static fn(Product $kind): array => self::kind($ahead, $kind), $ahead->kinds()),
            'suggestions' => array_map(
                static fn(ScheduledBatch $lot): array => self::suggestion($ahead, $lot, $names[$lot->size] ?? ''),
                self::inTime($ahead->forecast->added),
            ),
            'live' => self::live($ahead, $more->live),
            'goal' => $more->goal,
            'more' => array_map(
                static fn(WayInChoice $one): array => self::more($more, $one, $names[$one->jar->size] ?? ''),
                $more->choices,
            ),
            'planned' => $ahead->planned->map(PlannedBatchView::of(...))->values()->all(),
        ];
    }

    /**
     * @param  list<ScheduledBatch>  $lots
     * @return list<ScheduledBatch> soonest first
     */
    private static function inTime(array $lots): array
    {
        usort(
            $lots,
            static fn(ScheduledBatch $one, ScheduledBatch $other): int => [$one->start, $one->kind] <=> [
                $other->start,
                $other->kind,
            ],
        );

        return $lots;
    }

    /** @return list<array<string, mixed>> jars that hold something at some time */
    private static function lanes(StockAhead $ahead): array
    {
        $names = Jar::query()->withoutGlobalScope('present')->pluck('name', 'id');
        $lanes = [];
        foreach (self::inTime($ahead->forecast->lots) as $lot) {
            $key = $lot->vessel ?? "without {$lot->id}";
            $lanes[$key] ??= ['id' => $key, 'jarName' => $names[$lot->size] ?? null, 'lots' => []];
            $lanes[$key]['lots'][] = self::lot($ahead, $lot);
        }
        usort(
            $lanes,
            static fn(array $one, array $other): int => [$one['jarName'] === null, $one['jarName'], $one['id']] <=> [
                $other['jarName'] === null,
                $other['jarName'],
                $other['id'],
            ],
        );

        return $lanes;
    }

    /** @return array<string, mixed> */
    private static function lot(StockAhead $ahead, ScheduledBatch $lot): array
    {
        $run = $ahead->forecast->runs[$lot->kind];
        $status = $ahead->status[$lot->id] ?? null;
        $empty = $run->emptyOn[$lot->id] ?? null;
        $first = $run->firstOn[$lot->id] ?? null;

        return [
            'id' => $lot->id,
            'is' =>
                $status !== null
                    ? 'standing'
                    : (in_array($lot, $ahead->forecast->added, true)
                        ? 'suggested'
                        : 'planned'),
            'batchId' => $status?->batch->id,
            'name' =>
                $status->batch->name ?? ($ahead->lines[$lot->kind]->name ?? $ahead->beside[$lot->id]->planned->name()),
            'colour' =>
                $status->batch->colour ??
                (isset($ahead->beside[$lot->id])
                    ? $ahead->beside[$lot->id]->colour()
                    : self::colour($ahead, $lot->kind)),
            'start' => max(0, $lot->start),
            'ready' => $lot->ready,
            'first' => $first,
            'empty' => $empty,
            'startOn' => $ahead->date($lot->start),
            'readyOn' => $ahead->date($lot->ready),
            'emptyOn' => $empty === null ? null : $ahead->date($empty),
            'grams' => $lot->grams,
            'levels' => $ahead->levels($lot->id, $lot->grams),
        ];
    }

    private static function colour(StockAhead $ahead, string $kind): string
    {
        return isset($ahead->answers[$kind]) ? $ahead->answers[$kind]->formula->colour() : '#b9ab99';
    }

    /** @return array{servingsADay: int, runsOutOn: string|null}|null */
    private static function live(StockAhead $ahead, ?LiveAhead $live): ?array
    {
        return $live === null
            ? null
            : [
                'servingsADay' => $live->servingsADay,
                'runsOutOn' => $live->runsOut === null ? null : $ahead->date($live->runsOut),
            ];
    }

    /** @return array<string, mixed> */
    private static function kind(StockAhead $ahead, Product $kind): array
    {
        $out = $ahead->forecast->runsOutOn($kind);
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
            'left' => $ahead->forecast->runs[$kind->id]->left,
            'gaps' => array_map(
                static fn(array $gap): array => [
                    'from' => $ahead->date($gap['from']),
                    'to' => $ahead->date($gap['to']),
                    'fromDay' => $gap['from'],
                    'days' => $gap['to'] - $gap['from'] + 1,
                    'reason' => $gap['reason'],
                ],
                $ahead->forecast->gaps($kind),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function suggestion(StockAhead $ahead, ScheduledBatch $lot, string $jarName): array
    {
        $line = $ahead->lines[$lot->kind];

        return [
            'lotId' => $lot->id,
            'lineId' => $line->id,
            'formulaId' => $line->formula_id,
            'name' => $line->name,
            'colour' => self::colour($ahead, $lot->kind),
            'jarId' => $lot->size,
            'jarName' => $jarName,
            'share' => $lot->share,
            'grams' => $lot->grams,
            'startOn' => $ahead->date($lot->start),
            'readyOn' => $ahead->date($lot->ready),
            'why' => WhyStart::of(
                $ahead->forecast,
                array_column($ahead->forecast->shelf->kinds, null, 'id')[$lot->kind],
                $lot,
                static fn(int $day): Day => new Day($ahead->date($day)),
            ),
        ];
    }

    /** @return array<string, mixed> something that does not come round */
    private static function more(MoreToMake $more, WayInChoice $one, string $jarName): array
    {
        $id = $one->candidate->id;
        $makeable = $more->makeable;
        if ($makeable === null) {
            throw new LogicException('What is chosen was chosen from something.');
        }

        return [
            'formulaId' => $id,
            'name' => $makeable->formulas[$id]->name,
            'colour' => $makeable->formulas[$id]->colour(),
            'jarId' => $one->jar->size,
            'jarName' => $jarName,
            'grams' => $one->candidate->gramsIn[$one->jar->size],
            'readyOn' => $makeable->readyOn($one->candidate),
            'smallestGrams' => Makeable::smallest($makeable->formulas[$id]),
            'smallestMg' => LabelRounding::milligrams($one->candidate->servingMg),
            'why' => $one->why,
        ];
    }
}
