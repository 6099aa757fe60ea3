<?php

declare(strict_types=1);

namespace App\Intake;

use App\Care\BatchStatus;
use App\Care\LiveCulture;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Person;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Intake\RemedyKind;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;

/**
 * What could be served instead of a jar's portion.
 */
final class OtherJars
{
    /**
     * Portions for someone from other jars that are ready, live where this one is, and hold less.
     *
     * @return list<array{remedy: RemedyKind, text: Message, milligrams: float}>
     */
    public static function of(Batch $batch, Person $person, float $now, Household $household): array
    {
        $others = [];
        foreach (Batch::eatable()->where('id', '!=', $batch->id)->get() as $other) {
            $status = BatchStatus::of($other, Ledgers::of($other), $household);
            $served = BatchStatus::served($other, $status->state);
            $grams = $other->usualPortion($person, $served);
            $clash = array_intersect(
                array_map(static fn($one): string => $one->value, $status->state->allergens()),
                $person->allergens,
            );
            if (
                ($status->readyIn() ?? 1) > 0 ||
                $status->isSpokenAgainst() ||
                $clash !== [] ||
                $status->gramsLeft() < $grams ||
                !LiveCulture::counts($other, $status->state)
            ) {
                continue;
            }
            $milligrams = ServingStyle::Drained
                ->plate($served, Grams::of($grams))
                ->sodiumMg($status->state, Point::typical());
            if ($milligrams < $now) {
                $kind =
                    $other->likeness === $batch->likeness && $other->started_at->greaterThan($batch->started_at)
                        ? RemedyKind::YoungerJar
                        : RemedyKind::OtherJar;
                $others[] = ['remedy' => $kind, 'text' => $kind->fromJar($other->name), 'milligrams' => $milligrams];
            }
        }
        usort($others, static fn(array $one, array $other): int => $one['milligrams'] <=> $other['milligrams']);

        return array_slice($others, 0, 3);
    }
}
