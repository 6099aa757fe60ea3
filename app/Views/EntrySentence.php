<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\BatchEntry;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Discard;
use Tempesal\Core\Ledger\Entry\Draw;
use Tempesal\Core\Ledger\Entry\Give;
use Tempesal\Core\Ledger\Entry\Rest;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Starter;

/**
 * A ledger line in words.
 */
final class EntrySentence
{
    public static function of(BatchEntry $line): string
    {
        if ($line->kind === BatchEntry::REVERSAL) {
            return 'An entry taken back';
        }
        $entry = $line->read();

        return match (true) {
            $entry instanceof Add => self::grams($entry->grams->typical)." {$entry->ingredient->name}",
            $entry instanceof Salt => self::grams($entry->dose->grams()->value)." {$entry->dose->product->name}".($entry->dose->isSpooned() ? ', spooned' : ''),
            $entry instanceof Starter => self::grams($entry->grams->value)." {$entry->liquid->name} as starter",
            $entry instanceof Draw => $entry->share->typical > 0.0 ? sprintf('Juice drawn, about %d %% of the weight', (int) round($entry->share->typical * 100.0)) : 'No juice to speak of',
            $entry instanceof Rest => 'Rest until salt is even in pieces and brine',
            $entry instanceof Discard => self::grams($entry->grams->value)." of {$entry->phase->value} not used",
            $entry instanceof Serve => self::grams($entry->grams->value).($entry->phase->value === 'pieces' ? ' served' : " of {$entry->phase->value} served"),
            $entry instanceof Give => self::grams($entry->grams->value)." of {$entry->phase->value} given to another jar",
            default => $line->kind,
        };
    }

    private static function grams(float $grams): string
    {
        return ($grams < 100.0 ? (string) round($grams, 1) : number_format($grams)).' g';
    }
}
