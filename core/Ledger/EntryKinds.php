<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;

/**
 * Every kind of entry by its word.
 */
final class EntryKinds
{
    /** @var list<class-string<Entry>> */
    private const ALL = [
        Entry\Add::class,
        Entry\Salt::class,
        Entry\Starter::class,
        Entry\Draw::class,
        Entry\Rest::class,
        Entry\Discard::class,
        Entry\Serve::class,
        Entry\Give::class,
    ];

    /** @throws InvalidField when the kind is unknown or one of its fields is wrong */
    public static function read(Fields $fields): Entry
    {
        $kind = $fields->text('kind');
        foreach (self::ALL as $class) {
            if ($class::kind() === $kind) {
                return $class::read($fields);
            }
        }

        throw $fields->invalid('kind', sprintf('"%s" is not a kind of entry. Known are: %s.', $kind, implode(', ', self::words())));
    }

    /** @return list<string> */
    public static function words(): array
    {
        return array_map(static fn (string $class): string => $class::kind(), self::ALL);
    }
}
