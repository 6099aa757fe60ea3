<?php

declare(strict_types=1);

namespace App\Views;

use App\Care\BatchStatus;
use App\Care\RipeningWindows;
use App\Pictures\JarPicture;
use Tempesal\Core\Care\ShelfAlert;
use Tempesal\Core\Care\ShelfSnapshot;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Aim;
use Tempesal\Core\Salt\SaltBasis;

/**
 * What one sees of a batch from before the shelf.
 *
 * @phpstan-type Window array{ youngOn: string|null, readyOn: string|null, longOn: string|null, aim: string,
 *     aimLabel: Message, ownDays: float|null
 * }
 * @phpstan-type Attention array{rank: int, code: string, text: Message}
 * @phpstan-type Summary array{
 *     id: string, name: string, colour: string, place: string, startedOn: string, strengthPercent: float|null,
 *     strength: Message|null, window: Window|null, attention: Attention|null, jar: mixed, ...<string, mixed>
 * }
 */
final class BatchSummary
{
    /** Grams of liquid that are nothing to speak of. */
    private const TRACE_G = 2.0;

    /** @return Summary */
    public static function of(BatchStatus $status): array
    {
        $batch = $status->batch;
        $household = $status->household;
        $state = $status->state;
        $served = BatchStatus::served($batch, $state);
        $liquid = $state->phase($state->liquid());
        $basis = $batch->method->profile()->salting->basis;
        $share = $batch->strengths[$basis->value] ?? null;
        $picture = JarPicture::ofBatch($batch, $state);
        $left = $status->gramsLeft();
        $isFood = $status->isFood();
        $stage = $status->stage();
        $inIt = (int) floor($left / $batch->serving_g + BatchState::ROUNDING);
        $servings = $isFood ? $inIt : 0;

        return [
            'id' => $batch->id,
            'name' => $batch->name,
            'method' => $batch->method->value,
            'methodLabel' => $batch->method->label(),
            'isFood' => $batch->method->isFood(),
            'colour' => $batch->colour,
            'place' => $batch->place->value,
            'placeLabel' => $batch->place->label(),
            'jarName' => $batch->jar?->name,
            'startedAt' => $batch->started_at->toIso8601String(),
            'startedOn' => $household->dateOf($batch->started_at),
            'emptiedOn' => $batch->emptied_at === null ? null : $household->dateOf($batch->emptied_at),
            'dayCount' => $status->day,
            'strengthPercent' => $share === null ? null : $share * 100.0,
            'strength' => $share === null ? null : $basis->strength(round($share * 100.0, 1)),
            'strengths' => array_map(
                static fn(SaltBasis $one): array => [
                    'basis' => $one->value,
                    'label' => $one->label(),
                    'percent' => isset($batch->strengths[$one->value]) ? $batch->strengths[$one->value] * 100.0 : null,
                ],
                SaltBasis::cases(),
            ),
            'stage' => $stage->value,
            'stageLabel' => $stage->label(),
            'isFoodNow' => $isFood,
            'nextStep' => StepsView::next($status),
            'servedPhase' => $served->value,
            'gramsLeft' => $left,
            'servingGrams' => $batch->serving_g,
            'servingsLeft' => $servings,
            'sodiumPer100g' => $served->in($state)->sodiumPer100g(),
            'liquidGrams' => max(0.0, $liquid->weightG()),
            'liquidPercent' => $liquid->weightG() > self::TRACE_G ? $liquid->brineStrength() * 100.0 : null,
            'window' => self::window($status),
            'isReady' =>
                $isFood &&
                $servings > 0 &&
                ($status->forecast === null || ($status->daysSince($status->forecast->ready) ?? -1) >= 0),
            'attention' =>
                $batch->emptied_at !== null
                    ? null
                    : self::attention(
                        $status,
                        new ShelfSnapshot(
                            $status->day,
                            $picture['isGuessed'] || $served === Served::Sauce
                                ? 0.0
                                : $picture['foodMm'] - $picture['liquidMm'],
                            $status->longSince(),
                            max($inIt, $isFood ? 0 : 1),
                            $isFood && $status->isNothing(),
                        ),
                    ),
            'jar' => $picture,
        ];
    }

    /** @return Window|null */
    private static function window(BatchStatus $status): ?array
    {
        if ($status->forecast === null) {
            return null;
        }
        $aim = $status->batch->aim ?? $status->household->aim;
        $own = RipeningWindows::ownDays($status->batch);

        return [
            'youngOn' => $status->on($status->forecast->young),
            'readyOn' => $status->on($status->forecast->ready),
            'longOn' => $status->longOn(),
            'aim' => $aim->value,
            'aimLabel' => ($aim === Aim::Own && $own === null ? Aim::Middle : $aim)->label(),
            'ownDays' => $own,
        ];
    }

    /** @return Attention|null */
    private static function attention(BatchStatus $status, ShelfSnapshot $snapshot): ?array
    {
        $attention = ShelfAlert::of($snapshot, $status->dueNow());

        return $attention === null
            ? null
            : ['rank' => $attention->rank, 'code' => $attention->code, 'text' => $attention->text];
    }
}
