<?php

declare(strict_types=1);

namespace Tempesal\Core\Message;

/**
 * The name of a food, a salt or a formula, said in the reader's language as long as it is called what the library calls it. The
 * message carries the name that is kept; whoever puts it into words compares it with the English catalogue's.
 */
final class LibraryName
{
    private const CODE = '/^(food|salt_product)\.|^formula_[a-z0-9_]+\.name$/';

    /** @param  string  $key  "green-cabbage"; anything else for what is not of the library */
    public static function food(string $key, string $name): Message
    {
        $code = self::code($key);

        return $code === null ? Message::of('text.quoted', text: $name) : Message::of("food.{$code}", name: $name);
    }

    public static function salt(string $key, string $name): Message
    {
        $code = self::code($key);

        return $code === null
            ? Message::of('text.quoted', text: $name)
            : Message::of("salt_product.{$code}", name: $name);
    }

    /** @param  string|null  $key  null: a formula of the cook's own */
    public static function formula(?string $key, string $name): Message
    {
        $code = self::code($key ?? '');

        return $code === null
            ? Message::of('text.quoted', text: $name)
            : Message::of("formula_{$code}.name", name: $name);
    }

    /** The name that a message keeps, where it is the name of something of the library; null otherwise. */
    public static function kept(Message $message): ?string
    {
        $name = $message->values['name'] ?? null;

        return is_string($name) && preg_match(self::CODE, $message->code) === 1 ? $name : null;
    }

    private static function code(string $key): ?string
    {
        return preg_match('/^[a-z][a-z0-9-]{0,60}$/', $key) === 1 ? str_replace('-', '_', $key) : null;
    }
}
