<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\Batch;
use App\Models\Household;
use App\Pictures\JarPicture;
use Carbon\CarbonImmutable;
use Tempesal\Core\Care\Attention;
use Tempesal\Core\Care\Glance;
use Tempesal\Core\Care\Rhythm;
use Tempesal\Core\Ferment\Outlook;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Salt\Basis;

/**
 * What one sees of a batch from before the shelf.
 */
final class BatchSummary
{
    /** Grams that one could not serve. */
    private const NOTHING_G = 2.0;

    /** @return array<string, mixed> */
    public static function of(Batch $batch, Ledger $ledger, Household $household): array
    {
        $state = $ledger->state();
        $served = self::servedPhase($batch, $state);
        $liquid = $state->phase($state->liquid());
        $basis = $batch->method->usualBasis();
        $share = $batch->strengths[$basis->value] ?? null;
        $outlook = self::outlook($batch);
        $picture = JarPicture::ofBatch($batch, $state);
        $left = max(0.0, $state->phase($served)->weightG());
        $servings = (int) floor($left / $batch->serving_g + BatchState::ROUNDING);
        $day = self::day($batch, $household);
        $readySince = self::daysSince($batch, $outlook?->ready, $household);

        return [
            'id' => $batch->id,
            'name' => $batch->name,
            'method' => $batch->method->value,
            'methodLabel' => $batch->method->label(),
            'colour' => $batch->colour,
            'place' => $batch->place,
            'jarName' => $batch->jar?->name,
            'startedAt' => $batch->started_at->toIso8601String(),
            'startedOn' => $household->dateOf($batch->started_at),
            'emptiedOn' => $batch->emptied_at === null ? null : $household->dateOf($batch->emptied_at),
            'dayCount' => $day,
            'strengthPercent' => $share === null ? null : $share * 100.0,
            'strengthBasis' => $basis->label(),
            'strengths' => array_map(static fn (Basis $one): array => [
                'basis' => $one->value, 'label' => $one->label(),
                'percent' => isset($batch->strengths[$one->value]) ? $batch->strengths[$one->value] * 100.0 : null,
            ], Basis::cases()),
            'servedPhase' => $served->value,
            'gramsLeft' => $left,
            'servingGrams' => $batch->serving_g,
            'servingsLeft' => $servings,
            'sodiumPer100g' => $state->phase($served)->sodiumPer100g(),
            'liquidGrams' => max(0.0, $liquid->weightG()),
            'liquidPercent' => $liquid->weightG() > self::NOTHING_G ? $liquid->brineStrength() * 100.0 : null,
            'window' => $outlook === null ? null : self::window($batch, $outlook, $household),
            'isReady' => $servings > 0 && ($outlook === null || $readySince !== null && $readySince >= 0),
            'attention' => $batch->emptied_at !== null ? null : self::attention($batch, new Glance(
                $day,
                $picture === null || $served === Phase::Sauce ? 0.0 : $picture['foodMm'] - $picture['liquidMm'],
                self::daysSince($batch, $outlook?->young, $household),
                $readySince,
                self::daysSince($batch, $outlook?->long, $household),
                $servings,
                $left <= self::NOTHING_G,
                $batch->place !== 'fridge',
            )),
            'jar' => $picture,
        ];
    }

    /** What is served from it: a jar that was blended is a sauce, whatever it began as. */
    public static function servedPhase(Batch $batch, BatchState $state): Phase
    {
        return $state->isOnePhase() ? Phase::Sauce : $batch->method->servedPhase();
    }

    /** Whole days in the household's own calendar since the batch was started; the first day is 0. */
    public static function day(Batch $batch, Household $household): int
    {
        return self::days($household->dateOf($batch->started_at), $household->today());
    }

    /** When it will be young, ready and long; null where nothing ripens. */
    private static function outlook(Batch $batch): ?Outlook
    {
        $window = $batch->window();

        return $window === null ? null : Outlook::of($batch->history(), $window);
    }

    /** @return array{youngOn: string|null, readyOn: string|null, longOn: string|null} */
    private static function window(Batch $batch, Outlook $outlook, Household $household): array
    {
        $on = static fn (?float $seconds): ?string => $seconds === null ? null : $household->dateOf($batch->momentAt($seconds));

        return ['youngOn' => $on($outlook->young), 'readyOn' => $on($outlook->ready), 'longOn' => $on($outlook->long)];
    }

    private static function daysSince(Batch $batch, ?float $seconds, Household $household): ?int
    {
        return $seconds === null ? null : self::days($household->dateOf($batch->momentAt($seconds)), $household->today());
    }

    private static function days(string $from, string $to): int
    {
        return (int) CarbonImmutable::parse($from)->diffInDays(CarbonImmutable::parse($to));
    }

    /** @return array{rank: int, code: string, text: string}|null */
    private static function attention(Batch $batch, Glance $glance): ?array
    {
        $attention = Attention::of($glance, $batch->jar === null ? [] : Rhythm::of($batch->method, $batch->jar->cover));

        return $attention === null ? null : ['rank' => $attention->rank, 'code' => $attention->code, 'text' => $attention->text];
    }
}
