<?php

declare(strict_types=1);

namespace App\Intake;

use App\Care\Tended;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Person;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Intake\Remedy;
use Tempesal\Core\Intake\Way;
use Tempesal\Core\Measure\Grams;

/**
 * What could be served instead of a jar's portion.
 */
final class OtherJars
{
    /**
     * Portions for someone from other jars that are ready, live where this one is, and hold less.
     *
     * @return list<array{remedy: Remedy, text: string, milligrams: float}>
     */
    public static function of(Batch $batch, Person $person, float $now, Household $household): array
    {
        $others = [];
        foreach (Batch::onShelf()->get()->where('id', '!=', $batch->id) as $other) {
            $tended = Tended::of($other, Ledgers::of($other), $household);
            $phase = Tended::servedPhase($other, $tended->state);
            $grams = $other->usualPortion($person, $phase);
            $clash = array_intersect(array_map(static fn ($one): string => $one->value, $tended->state->allergens()), $person->allergens);
            if (($tended->readyIn() ?? 1) > 0 || $tended->isSpokenAgainst() || $clash !== [] || $tended->gramsLeft() < $grams || ! $other->isLive($tended->state)) {
                continue;
            }
            $milligrams = Way::Drained->plate($phase, Grams::of($grams))->sodiumMg($tended->state, Point::typical());
            if ($milligrams < $now) {
                $remedy = $other->likeness === $batch->likeness && $other->started_at->greaterThan($batch->started_at) ? Remedy::YoungerJar : Remedy::OtherJar;
                $others[] = ['remedy' => $remedy, 'text' => $remedy->text($other->name), 'milligrams' => $milligrams];
            }
        }
        usort($others, static fn (array $one, array $other): int => $one['milligrams'] <=> $other['milligrams']);

        return array_slice($others, 0, 3);
    }
}
