<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\BatchEntry;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Blend;
use Tempesal\Core\Ledger\Entry\Discard;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Draw;
use Tempesal\Core\Ledger\Entry\Evaporate;
use Tempesal\Core\Ledger\Entry\Freshen;
use Tempesal\Core\Ledger\Entry\Give;
use Tempesal\Core\Ledger\Entry\Heat;
use Tempesal\Core\Ledger\Entry\Leak;
use Tempesal\Core\Ledger\Entry\Measured;
use Tempesal\Core\Ledger\Entry\Overflow;
use Tempesal\Core\Ledger\Entry\ReSalt;
use Tempesal\Core\Ledger\Entry\Rinse;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Squeeze;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Entry\TopUp;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Reading;
use Tempesal\Core\Method\Place;

/**
 * A ledger line in words.
 */
final class EntryMessage
{
    public static function of(BatchEntry $line): string
    {
        return $line->kind === BatchEntry::REVERSAL ? 'An entry taken back' : self::entry($line->read());
    }

    private static function entry(Entry $entry): string
    {
        return match (true) {
            $entry instanceof Add => self::grams($entry->grams->typical)." {$entry->ingredient->name}",
            $entry instanceof Salt => self::grams($entry->dose->grams()->value)." {$entry->dose->product->name}".($entry->dose->isSpooned() ? ', spooned' : ''),
            $entry instanceof Starter => self::grams($entry->grams->value)." {$entry->liquid->name} as starter",
            $entry instanceof Draw => $entry->share->typical > 0.0 ? sprintf('Juice drawn, about %d %% of the weight', (int) round($entry->share->typical * 100.0)) : 'No juice to speak of',
            $entry instanceof Soak => self::soak($entry),
            $entry instanceof Drain => 'Drained'.($entry->keep === null ? '' : ', '.self::grams($entry->keep->value).' of brine kept'),
            $entry instanceof Rinse => 'Rinsed for '.self::time($entry->washing->duration->value),
            $entry instanceof Squeeze => 'Squeezed out',
            $entry instanceof Freshen => 'Freshened with '.self::grams($entry->water->value).' water',
            $entry instanceof TopUp => 'Topped up with '.self::grams($entry->grams->value).match (true) {
                $entry->strength === null => ' brine of its own strength',
                $entry->strength > 0.0 => sprintf(' brine of %s %%', round($entry->strength * 100.0, 1)),
                default => ' water',
            },
            $entry instanceof Overflow => self::grams($entry->grams->typical).' of brine ran over',
            $entry instanceof Leak => self::grams($entry->grams->typical).' leaked in from the weight',
            $entry instanceof Evaporate => self::grams($entry->grams->typical).' of water dried away',
            $entry instanceof ReSalt => sprintf('Salted up to %s %% %s', round($entry->share * 100.0, 2), $entry->basis->label()),
            $entry instanceof Blend => 'Blended into one',
            $entry instanceof Heat => 'Heated; no longer live',
            $entry instanceof Measured => self::reading($entry),
            $entry instanceof Discard => self::grams($entry->grams->value)." of {$entry->phase->value} not used",
            $entry instanceof Serve => self::grams($entry->grams->value).($entry->phase === Phase::Pieces ? '' : " of {$entry->phase->value}")
                .($entry->rinse === null ? '' : ' rinsed and').' served'.($entry->juice === null ? '' : ' with juice'),
            $entry instanceof Give => self::grams($entry->grams->value)." of {$entry->phase->value} given ".($entry->toBatch === null ? 'away' : 'to another jar'),
            default => $entry::kind(),
        };
    }

    private static function soak(Soak $soak): string
    {
        $verb = ['soak' => 'Soaked', 'rest' => 'Rested', 'ferment' => 'Fermented'][$soak->word] ?? 'Rested';

        $room = $soak->room === null ? '' : ' '.(Place::tryFrom($soak->room)?->label() ?? "in {$soak->room}");

        return match (true) {
            $soak->duration === null && $soak->room !== null && $soak->word !== 'soak' => ($soak->word === 'rest' ? 'Stands' : 'Left to ferment').$room,
            $soak->even => 'Rest until salt is even in pieces and brine',
            $soak->duration === null => ['soak' => 'Put to soak', 'ferment' => 'Left to ferment'][$soak->word] ?? 'Left to rest',
            default => "{$verb} for ".self::time($soak->duration->value),
        };
    }

    private static function reading(Measured $measured): string
    {
        $value = $measured->value->typical;

        return match ($measured->reading) {
            Reading::DrainedWeight => 'Weighed, drained: '.self::grams($value),
            Reading::BrineStrength => sprintf('Brine read at %s %%', round($value * 100.0, 2)),
            Reading::PiecesSodium, Reading::SauceSodium => sprintf('Sodium read at %d mg in 100 g', (int) round($value)),
        };
    }

    private static function time(float $seconds): string
    {
        return match (true) {
            $seconds < 120.0 => round($seconds).' s',
            $seconds < 7200.0 => round($seconds / 60.0).' min',
            $seconds < 172_800.0 => round($seconds / 3600.0, 1).' h',
            default => round($seconds / 86_400.0, 1).' days',
        };
    }

    private static function grams(float $grams): string
    {
        return ($grams < 100.0 ? (string) round($grams, 1) : number_format($grams)).' g';
    }
}
