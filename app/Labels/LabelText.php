<?php

declare(strict_types=1);

namespace App\Labels;

use Tempesal\Core\Message\Day;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;

/**
 * A label's lines in words.
 *
 * @phpstan-import-type Label from LabelPrint
 */
final class LabelText
{
    /**
     * @param  Label  $label
     * @return list<array{Message, Message}> what it is, and what is said of it, on paper and on the screen
     */
    public static function rows(array $label): array
    {
        $rows = [
            [
                Message::of($label['isMade'] ? 'label.started' : 'label.opened'),
                Message::of('label.date', day: new Day($label['startedOn'])),
            ],
        ];
        if ($label['useBy'] !== null) {
            $rows[] = [Message::of($label['isMade'] ? 'label.keep_until' : 'label.use_by'), self::day($label['useBy'])];
        }
        if ($label['sodium'] !== null) {
            $rows[] = [
                Message::of('label.sodium'),
                $label['sodiumOn'] === null
                    ? Message::of(
                        'label.sodium_per_serving',
                        mg: $label['sodium']['shown'],
                        grams: round($label['servingGrams'], 1),
                    )
                    : Message::of(
                        'label.sodium_on',
                        mg: $label['sodium']['shown'],
                        grams: round($label['servingGrams'], 1),
                        day: new Day($label['sodiumOn']),
                    ),
            ];
        }
        if ($label['potassium'] !== null) {
            $rows[] = [
                Message::of('label.potassium'),
                Message::of(
                    'label.potassium_per_serving',
                    mg: $label['potassium']->values['mg'],
                    grams: round($label['servingGrams'], 1),
                ),
            ];
        }
        if ($label['strength'] !== null) {
            $rows[] = [Message::of('label.salt'), $label['strength']];
        }
        if ($label['youngOn'] !== null) {
            $rows[] = [Message::of('label.taste_from'), self::day($label['youngOn'])];
        }
        if ($label['readyOn'] !== null) {
            $rows[] = [
                Message::of('label.ready'),
                $label['longOn'] === null
                    ? self::day($label['readyOn'])
                    : Message::of('label.days', from: new Day($label['readyOn']), to: new Day($label['longOn'])),
            ];
        }
        if ($label['isMade']) {
            $rows[] = [Message::of('label.stage'), $label['stageLabel']];
        }
        return $rows;
    }

    /** @param  Label  $label */
    public static function foot(array $label): Message
    {
        $allergens = array_map(static fn(string $one): Message => Message::of("allergen.{$one}"), $label['allergens']);

        return $allergens === []
            ? Message::of('label.no_allergens', isLive: $label['isLive'])
            : Message::of('label.allergens', allergens: Listed::all($allergens), isLive: $label['isLive']);
    }

    private static function day(string $date): Message
    {
        return Message::of('label.day', day: new Day($date));
    }
}
