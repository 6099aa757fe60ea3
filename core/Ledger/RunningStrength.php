<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Blend;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Rinse;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Salt\JarContents;
use Tempesal\Core\Salt\SaltBasis;

/**
 * How strong a batch was after each of several salts, as a cook reckons it who salts to taste: the salt that has gone
 * in over what it was meant for, until something is poured off, rinsed or blended.
 */
final class RunningStrength
{
    /**
     * @return array<int, float> the share after the salt of a line, by that line's place; empty where one salt was all
     */
    public static function of(Ledger $ledger, SaltBasis $basis): array
    {
        $salts = [];
        $vegetable = $water = $other = 0.0;
        foreach ($ledger->whole()->resolved() as $place => $line) {
            $entry = $line->entry;
            if ($entry instanceof Drain || $entry instanceof Rinse || $entry instanceof Blend) {
                break;
            }
            if ($entry instanceof Add && $entry->ingredient->id === 'water') {
                $water += $entry->grams->typical;
            } elseif ($entry instanceof Add) {
                $vegetable += $entry->grams->typical;
            } elseif ($entry instanceof Starter) {
                $other += $entry->grams->value;
            } elseif ($entry instanceof Salt) {
                $salts[$place] = $entry->dose->grams()->value;
            }
        }
        $running = [];
        $soFar = 0.0;
        foreach (count($salts) > 1 ? $salts : [] as $place => $grams) {
            $soFar += $grams;
            $share = (new JarContents(
                Grams::of($soFar),
                Grams::of($vegetable),
                Grams::of($water),
                Grams::of($other),
            ))->shareOrNull($basis);
            if ($share !== null) {
                $running[$place] = $share;
            }
        }

        return $running;
    }
}
