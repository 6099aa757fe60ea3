<?php

declare(strict_types=1);

namespace App\Care;

use App\Ledger\Ledgers;
use App\Models\Batch;
use Carbon\CarbonImmutable;
use Tempesal\Core\Care\RipenessForecast;
use Tempesal\Core\Estimate\Estimate;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Making\StepKind;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Preparation;

/**
 * A portion on the day on which it is meant to be eaten: when the jar is ready, a quick pickle a day after it went cold.
 * Until then the jar reads otherwise.
 */
final readonly class MeantServing
{
    private function __construct(public CarbonImmutable $on, public Estimate $sodium, public Message $why) {}

    /** Null where that day has come, or where less than a portion will be there. */
    public static function of(Batch $batch, ?RipenessForecast $forecast): ?self
    {
        $on = self::moment($batch, $forecast);
        if ($batch->emptied_at !== null || $on === null || !$on->isFuture()) {
            return null;
        }
        $then = Ledgers::foreseen($batch)->asOf($batch->secondsSinceStart($on));
        try {
            $serving = Serve::of($batch->served($then->state()), Grams::of($batch->serving_g));

            return new self(
                $on,
                $then->serving($serving),
                Message::of(
                    $batch->nextStep() === null ? 'meant.moves' : 'meant.steps',
                    step: $batch->nextStep()?->kind->label() ?? '',
                ),
            );
        } catch (NotEnough) {
            return null;
        }
    }

    private static function moment(Batch $batch, ?RipenessForecast $forecast): ?CarbonImmutable
    {
        if ($batch->method === Method::QuickSaltPickle) {
            $chill = $batch->steps->first(static fn($step): bool => $step->kind === StepKind::Chill);

            return ($chill?->closedAt() ?? $chill?->due_at)?->addSeconds((int) Preparation::PICKLE_RESTS_S);
        }
        return $forecast?->ready === null ? null : $batch->momentAt($forecast->ready);
    }
}
