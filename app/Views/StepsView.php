<?php

declare(strict_types=1);

namespace App\Views;

use App\Care\BatchStatus;
use App\Models\Batch;
use App\Models\BatchStep;
use App\Models\Household;
use App\Pantry\FoodMeasures;
use Tempesal\Core\Amount\MeasuredFood;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Making\Step;
use Tempesal\Core\Making\StepKind;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\KitchenPhrase;
use Tempesal\Core\Message\Message;

/**
 * A making as the counter shows it: its steps, what each needs, its clock.
 *
 * @phpstan-type Need array{line: int, what: string, name: Message, grams: float, measure: Message}
 */
final class StepsView
{
    /** @return array<string, mixed> */
    public static function of(BatchStatus $status): array
    {
        $batch = $status->batch;
        $next = $batch->nextStep();

        return [
            'batchId' => $batch->id,
            'batchName' => $batch->name,
            'colour' => $batch->colour,
            'jarName' => $batch->jar?->name,
            'stage' => $status->stage()->value,
            'stageLabel' => $status->stage()->label(),
            'isFood' => $status->isFood(),
            'currentId' => $next?->id,
            'steps' => array_values(
                $batch->steps
                    ->map(static fn(BatchStep $row): array => self::step($row, $status->household, $batch))
                    ->all(),
            ),
        ];
    }

    /** @return array{id: string, kind: string, label: Message, dueAt: string, isWaitedFor: bool}|null */
    public static function next(BatchStatus $status): ?array
    {
        $next = $status->batch->emptied_at === null ? $status->batch->nextStep() : null;

        return $next === null
            ? null
            : [
                'id' => $next->id,
                'kind' => $next->kind->value,
                'label' => $next->kind->label(),
                'dueAt' => $next->due_at->utc()->toIso8601String(),
                'isWaitedFor' => $next->kind->isWaitedFor(),
            ];
    }

    /**
     * @return array<string, mixed>
     */
    private static function step(BatchStep $row, Household $household, Batch $batch): array
    {
        $step = $row->step();
        $needs = self::needs(
            $row->kind === StepKind::Dissolve ? self::brineOf($batch->steps->all()) : $step->entries,
            $household,
        );

        return [
            'id' => $row->id,
            'kind' => $row->kind->value,
            'label' => $row->kind->label(),
            'say' => Message::of("step_say.{$row->kind->value}"),
            'stageLabel' => $row->kind->stageBy($batch->method)->label(),
            'afterSeconds' => $step->after->value,
            'dueAt' => $row->due_at->utc()->toIso8601String(),
            'doneAt' => $row->done_at?->utc()->toIso8601String(),
            'skippedAt' => $row->skipped_at?->utc()->toIso8601String(),
            'needs' => $needs,
            'isWeighed' => $row->kind !== StepKind::Dissolve,
            'number' => self::number($step, $needs),
            'rinseSeconds' => $step->rinse()?->value,
            'keepsGrams' => self::keeps($step),
        ];
    }

    /**
     * The one number that counts.
     *
     * @param  list<Need>  $needs
     * @return array{text: Message, of: Message}|null
     */
    private static function number(Step $step, array $needs): ?array
    {
        $rinse = $step->rinse();
        $salt = array_values(array_filter($needs, static fn(array $need): bool => $need['what'] === 'salt'))[0] ?? null;
        $most = $salt;
        foreach ($salt === null ? $needs : [] as $need) {
            $most = $most === null || $need['grams'] > $most['grams'] ? $need : $most;
        }

        return match (true) {
            $rinse !== null => [
                'text' => Message::of('duration.minutes', minutes: round($rinse->value / 60.0, 1)),
                'of' => Message::of('counter.running_water'),
            ],
            $salt === null && count($needs) > 1 => [
                'text' => Message::of('amount.grams', grams: self::rounded(array_sum(array_column($needs, 'grams')))),
                'of' => Message::of('counter.in_all'),
            ],
            $most !== null => [
                'text' => Message::of('amount.grams', grams: self::rounded($most['grams'])),
                'of' => $most['name'],
            ],
            default => null,
        };
    }

    /**
     * What is weighed out for a step.
     *
     * @param  list<Entry>  $entries
     * @return list<Need>
     */
    private static function needs(array $entries, Household $household): array
    {
        $needs = [];
        foreach ($entries as $line => $entry) {
            $need = match (true) {
                $entry instanceof Add => [
                    'food',
                    $entry->ingredient->label(),
                    $entry->grams->typical,
                    FoodMeasures::ofProduct(
                        $entry->ingredient->name,
                        $entry->ingredient->density,
                        $entry->ingredient->shape,
                    ),
                ],
                $entry instanceof Salt => [
                    'salt',
                    $entry->dose->product->label(),
                    $entry->dose->gramsAt(Point::typical()),
                    FoodMeasures::salt($entry->dose->product),
                ],
                $entry instanceof Starter => [
                    'starter',
                    $entry->liquid->label(),
                    $entry->grams->value,
                    FoodMeasures::liquid($entry->liquid->name, $entry->liquid->density),
                ],
                default => null,
            };
            if ($need !== null) {
                [$what, $name, $grams, $food] = $need;
                $needs[] = [
                    'line' => $line,
                    'what' => $what,
                    'name' => $name,
                    'grams' => $grams,
                    'measure' => self::measure($grams, $food, $household),
                ];
            }
        }

        return $needs;
    }

    private static function measure(float $grams, MeasuredFood $food, Household $household): Message
    {
        return KitchenPhrase::of(Grams::of($grams), $food->bulk(null, false)->typical, $household->spoon_system, true);
    }

    /**
     * The water and the salt of the brine that will be poured.
     *
     * @param  array<BatchStep>  $all
     * @return list<Entry>
     */
    private static function brineOf(array $all): array
    {
        foreach ($all as $row) {
            $brine = array_values(
                array_filter(
                    $row->step()->entries,
                    static fn(Entry $entry): bool => $entry instanceof Salt ||
                        ($entry instanceof Add && $entry->ingredient->id === 'water'),
                ),
            );
            if ($brine !== []) {
                return $brine;
            }
        }

        return [];
    }

    private static function keeps(Step $step): ?float
    {
        foreach ($step->entries as $entry) {
            if ($entry instanceof Drain) {
                return $entry->keep->value ?? 0.0;
            }
        }

        return null;
    }

    private static function rounded(float $grams): float
    {
        return round($grams, $grams < 100.0 ? 1 : 0);
    }
}
