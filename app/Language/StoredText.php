<?php

declare(strict_types=1);

namespace App\Language;

use Tempesal\Core\Message\Message;

/**
 * A text in a row: a message of the catalogue behind an @, or somebody's own words, which stay as they are.
 */
final class StoredText
{
    private const MARK = '@';

    public static function of(Message $message): string
    {
        return self::MARK . $message->encode();
    }

    public static function read(string $stored): Message
    {
        $message = str_starts_with($stored, self::MARK) ? Message::decode(substr($stored, 1)) : null;

        return $message !== null && Catalogue::of(Catalogue::FALLBACK)->has($message->code)
            ? $message
            : Message::of('text.quoted', text: $stored);
    }
}
