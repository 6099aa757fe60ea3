<?php

declare(strict_types=1);

namespace App\Console;

use JsonException;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;
use Tempesal\Core\Message\Message;

/**
 * JSON from a file or standard input, decoded with care, and held against a schema that ships with Tempesal.
 */
final class JsonInput
{
    private const MOST_BYTES = 5_000_000;

    private const DEEPEST = 40;

    /** @throws InputError when there is no such file, or too much of it */
    public static function text(string $source): string
    {
        if ($source !== '-' && !is_file($source)) {
            throw InputError::at('', Message::of('errors.no_file', file: $source));
        }
        $text = file_get_contents($source === '-' ? 'php://stdin' : $source, length: self::MOST_BYTES + 1);
        if ($text === false) {
            throw InputError::at('', Message::of('errors.file_unreadable', file: $source));
        }

        return strlen($text) > self::MOST_BYTES
            ? throw InputError::at('', Message::of('errors.file_too_large', megabytes: self::MOST_BYTES / 1_000_000))
            : $text;
    }

    /** @throws InputError when it is no JSON */
    public static function decode(string $text): mixed
    {
        try {
            return json_decode($text, true, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (JsonException $error) {
            throw InputError::at(
                '',
                $error->getCode() === JSON_ERROR_DEPTH
                    ? Message::of('errors.too_deep', levels: self::DEEPEST)
                    : Message::of('errors.not_json', problem: lcfirst($error->getMessage())),
            );
        }
    }

    /** @throws InputError at the first place where the document is not as the schema says */
    public static function hold(string $text, string $schema): void
    {
        $validator = new Validator();
        $validator->setMaxErrors(1);
        $rules = json_decode((string) file_get_contents(dirname(__DIR__, 2) . "/contract/{$schema}"));
        $result = $validator->validate(json_decode($text), is_object($rules) ? $rules : false);
        $error = $result->error();
        if ($error !== null) {
            $leaf = self::leaf($error);
            throw InputError::at(
                self::path($leaf),
                Message::of('errors.schema', problem: (new ErrorFormatter())->formatErrorMessage($leaf)),
            );
        }
    }

    private static function leaf(ValidationError $error): ValidationError
    {
        $inner = $error->subErrors();

        return $inner === [] ? $error : self::leaf($inner[0]);
    }

    private static function path(ValidationError $error): string
    {
        $path = '';
        foreach ($error->data()->fullPath() as $part) {
            $path .= is_int($part) || ctype_digit((string) $part) ? "[{$part}]" : ($path === '' ? $part : ".{$part}");
        }

        return $path;
    }
}
