<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;

/**
 * Every kind of entry by its word.
 */
final class EntryKinds
{
    /** @var array<string, class-string<Entry>> */
    private const ALL = [
        'add' => Entry\Add::class,
        'salt' => Entry\Salt::class,
        'starter' => Entry\Starter::class,
        'draw' => Entry\Draw::class,
        'soak' => Entry\Soak::class,
        'rest' => Entry\Soak::class,
        'ferment' => Entry\Soak::class,
        'drain' => Entry\Drain::class,
        'rinse' => Entry\Rinse::class,
        'squeeze' => Entry\Squeeze::class,
        'freshen' => Entry\Freshen::class,
        'top_up' => Entry\TopUp::class,
        'overflow' => Entry\Overflow::class,
        'leak' => Entry\Leak::class,
        'evaporate' => Entry\Evaporate::class,
        're_salt' => Entry\ReSalt::class,
        'blend' => Entry\Blend::class,
        'heat' => Entry\Heat::class,
        'measured' => Entry\Measured::class,
        'give' => Entry\Give::class,
        'serve' => Entry\Serve::class,
        'discard' => Entry\Discard::class,
    ];

    /** @throws InvalidField when the kind is unknown or one of its fields is wrong */
    public static function read(Fields $fields): Entry
    {
        $kind = $fields->text('kind');
        $class = self::ALL[$kind] ?? null;
        if ($class === null) {
            throw $fields->invalid(
                'kind',
                Message::of(
                    'errors.entry_kind',
                    kind: mb_strimwidth($kind, 0, 40, '…'),
                    choices: Listed::any(self::words()),
                ),
            );
        }

        return $class::read($fields);
    }

    /** @return list<string> */
    public static function words(): array
    {
        return array_keys(self::ALL);
    }
}
