<?php

declare(strict_types=1);

namespace App\Care;

use App\Ledger\Ledgers;
use App\Models\Batch;
use Carbon\CarbonImmutable;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Method\CultureGroup;
use Tempesal\Core\Method\Hazards;
use Tempesal\Core\Method\LiveFrom;
use Tempesal\Core\Method\Method;

/**
 * Whether a batch is at work, and whether what is eaten of it counts as live.
 */
final class LiveCulture
{
    /** Whether something live is at work in it, in a state of it. */
    public static function works(Batch $batch, BatchState $state, ?CarbonImmutable $at = null): bool
    {
        return $batch->method->isFerment() && $state->live && $batch->isFoodAt($at ?? CarbonImmutable::now());
    }

    /** Which cultures it brings. */
    public static function group(Batch $batch): CultureGroup
    {
        return CultureGroup::of(
            $batch->method,
            $batch->served ?? $batch->method->served(),
            $batch->method === Method::Bought || $batch->method === Method::CulturedCondiment ? $batch->name : '',
            $batch->method === Method::MilkAndSweet && self::isMilk($batch),
        );
    }

    private static function isMilk(Batch $batch): bool
    {
        return Hazards::of(Ledgers::foreseen($batch->loadMissing('steps')), $batch->method)->isMilk;
    }

    /** Whether what is eaten of it will count once it has come so far: what a label is to say for months. */
    public static function willCount(Batch $batch, BatchState $state): bool
    {
        return self::works($batch, $state) &&
            self::isMeant($batch) &&
            $batch->method->profile()->eaten->liveFrom !== LiveFrom::Never;
    }

    /** Whether its cultures are what a goal of live servings means, and its formula is eaten for them. */
    private static function isMeant(Batch $batch): bool
    {
        return self::group($batch)->counts() && ($batch->formulaVersion->document['isLive'] ?? true) !== false;
    }

    /**
     * Whether what is eaten of it in a state counts: it works, its formula does not say otherwise, and it has come as
     * far as its method asks.
     *
     * @param  CarbonImmutable|null  $at  the moment of the state; null: now
     */
    public static function counts(Batch $batch, BatchState $state, ?CarbonImmutable $at = null): bool
    {
        return self::works($batch, $state, $at) &&
            self::isMeant($batch) &&
            $batch->method->profile()->eaten->liveFrom->isReached($state->ripened, RipeningWindows::usual($batch));
    }
}
