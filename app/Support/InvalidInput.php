<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Validation\ValidationException;
use Tempesal\Core\Message\Message;

/**
 * Input that is refused, field by field. Laravel's validator keeps texts; messages travel through it encoded, and leave
 * it as messages (ApiErrors).
 */
final class InvalidInput
{
    public static function at(string $field, Message $why): ValidationException
    {
        return self::of([$field => $why]);
    }

    /** @param  array<string, Message|list<Message>>  $messages  by the path of the field */
    public static function of(array $messages): ValidationException
    {
        return ValidationException::withMessages(
            array_map(
                static fn(Message|array $one): string|array => $one instanceof Message
                    ? $one->encode()
                    : array_map(static fn(Message $message): string => $message->encode(), $one),
                $messages,
            ),
        );
    }
}
