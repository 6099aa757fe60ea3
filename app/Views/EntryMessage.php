<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\BatchEntry;
use Tempesal\Core\Intake\ServingStyle;
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
use Tempesal\Core\Ledger\Reading;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Place;

/**
 * A ledger line as a message.
 */
final class EntryMessage
{
    public static function of(BatchEntry $line): Message
    {
        return $line->kind === BatchEntry::REVERSAL ? Message::of('entry.reversal') : self::entry($line->read());
    }

    private static function entry(Entry $entry): Message
    {
        return match (true) {
            $entry instanceof Add => self::weighed('add', $entry->grams->typical, name: $entry->ingredient->label()),
            $entry instanceof Salt => self::weighed(
                'salt',
                $entry->dose->grams()->value,
                name: $entry->dose->product->label(),
                isSpooned: $entry->dose->isSpooned(),
            ),
            $entry instanceof Starter => self::weighed('starter', $entry->grams->value, name: $entry->liquid->label()),
            $entry instanceof Draw => $entry->share->typical > 0.0
                ? Message::of('entry.draw', percent: (int) round($entry->share->typical * 100.0))
                : Message::of('entry.draw_none'),
            $entry instanceof Soak => self::soak($entry),
            $entry instanceof Drain => $entry->keep === null
                ? Message::of('entry.drain')
                : self::weighed('drain_keeping', $entry->keep->value),
            $entry instanceof Rinse => Message::of('entry.rinse', time: self::time($entry->washing->duration->value)),
            $entry instanceof Squeeze => Message::of('entry.squeeze'),
            $entry instanceof Freshen => self::weighed('freshen', $entry->water->value),
            $entry instanceof TopUp => match (true) {
                $entry->strength === null => self::weighed('top_up_own', $entry->grams->value),
                $entry->strength > 0.0 => self::weighed(
                    'top_up_brine',
                    $entry->grams->value,
                    percent: round($entry->strength * 100.0, 1),
                ),
                default => self::weighed('top_up_water', $entry->grams->value),
            },
            $entry instanceof Overflow => self::weighed('overflow', $entry->grams->typical),
            $entry instanceof Leak => self::weighed('leak', $entry->grams->typical),
            $entry instanceof Evaporate => self::weighed('evaporate', $entry->grams->typical),
            $entry instanceof ReSalt => Message::of(
                'entry.re_salt',
                strength: $entry->basis->strength(round($entry->share * 100.0, 2)),
            ),
            $entry instanceof Blend => Message::of('entry.blend'),
            $entry instanceof Heat => Message::of('entry.heat'),
            $entry instanceof Measured => self::reading($entry),
            $entry instanceof Discard => self::weighed('discard', $entry->grams->value, phase: $entry->phase->value),
            $entry instanceof Serve => self::weighed(
                'serve',
                $entry->grams->value,
                phase: $entry->served->value,
                style: ServingStyle::ofPlate($entry)->value,
            ),
            $entry instanceof Give => self::weighed(
                $entry->toBatch === null ? 'give_away' : 'give',
                $entry->grams->value,
                phase: $entry->served->value,
            ),
            default => Message::of('text.quoted', text: $entry::kind()),
        };
    }

    private static function soak(Soak $soak): Message
    {
        $word = in_array($soak->word, ['soak', 'ferment'], true) ? $soak->word : 'rest';

        return match (true) {
            $soak->duration === null && $soak->room !== null && $word !== 'soak' => Message::of(
                "entry.{$word}_at",
                place: Place::tryFrom($soak->room)?->label() ?? Message::of('place.other', place: $soak->room),
            ),
            $soak->even => Message::of('entry.even'),
            $soak->duration === null => Message::of("entry.{$word}_open"),
            default => Message::of("entry.{$word}_for", time: self::time($soak->duration->value)),
        };
    }

    private static function reading(Measured $measured): Message
    {
        $value = $measured->value->typical;

        return match ($measured->reading) {
            Reading::DrainedWeight => self::weighed('drained_weight', $value),
            Reading::BrineStrength => Message::of('entry.brine_strength', percent: round($value * 100.0, 2)),
            Reading::PiecesSodium, Reading::SauceSodium => Message::of('entry.sodium', mg: (int) round($value)),
        };
    }

    private static function time(float $seconds): Message
    {
        return match (true) {
            $seconds < 120.0 => Message::of('duration.seconds', seconds: round($seconds)),
            $seconds < 7200.0 => Message::of('duration.minutes', minutes: round($seconds / 60.0)),
            $seconds < 172_800.0 => Message::of('duration.hours', hours: round($seconds / 3600.0, 1)),
            default => Message::of('duration.days', days: round($seconds / 86_400.0, 1)),
        };
    }

    private static function weighed(string $sentence, float $grams, string|int|float|bool|Message ...$more): Message
    {
        /** @var array<string, string|int|float|bool|Message> $more */
        return new Message("entry.{$sentence}", ['grams' => round($grams, $grams < 100.0 ? 1 : 0), ...$more]);
    }
}
