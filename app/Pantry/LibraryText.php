<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Language\Catalogue;
use App\Language\Words;

/**
 * The texts of the library's formulas: messages/LANGUAGE/formula_KEY.json and formula_caution.json. A formula is kept
 * with its English texts; what a cook has not changed is shown in the reader's language.
 */
final class LibraryText
{
    /** Fields of a formula's document that are lists of sentences. */
    private const LISTS = ['work', 'signs', 'why', 'schools', 'notes'];

    /**
     * @param  array<string, mixed>  $figures  a formula of the library without its texts, its cautions by their names
     * @return array<string, mixed> its document
     */
    public static function document(array $figures): array
    {
        $key = $figures['key'] ?? null;
        $subject = self::subject(is_string($key) ? $key : '');
        $english = Catalogue::of(Catalogue::FALLBACK);
        $lists = [];
        foreach (self::LISTS as $list) {
            $texts = [];
            while ($english->has($code = "{$subject}.{$list}_" . (count($texts) + 1))) {
                $texts[] = $english->pattern($code);
            }
            $lists[$list] = $texts;
        }

        return [
            ...$figures,
            'name' => $english->pattern("{$subject}.name"),
            'summary' => $english->pattern("{$subject}.summary"),
            'keeping' => [...self::child($figures, 'keeping'), 'text' => $english->pattern("{$subject}.keeping")],
            'vessel' => [...self::child($figures, 'vessel'), 'holdDown' => $english->pattern("{$subject}.hold_down")],
            ...$lists,
            'cautions' => array_map(
                static fn(string $caution): string => $english->pattern("formula_caution.{$caution}"),
                self::texts($figures['cautions'] ?? []),
            ),
        ];
    }

    /**
     * A document as its reader sees it.
     *
     * @param  array<string, mixed>  $document
     * @param  string|null  $key  of the library; null: it is the cook's own
     * @return array<string, mixed>
     */
    public static function shown(array $document, ?string $key, Words $words): array
    {
        if ($key === null) {
            return $document;
        }
        $subject = self::subject($key);
        $say = static fn(mixed $text, string $code): mixed => is_string($text) ? $words->named($code, $text) : $text;
        foreach (['name', 'summary'] as $field) {
            $document[$field] = $say($document[$field] ?? '', "{$subject}.{$field}");
        }
        foreach (
            ['keeping' => ['text', 'keeping'], 'vessel' => ['holdDown', 'hold_down']]
            as $part => [$field, $name]
        ) {
            $child = self::child($document, $part);
            if (isset($child[$field])) {
                $document[$part] = [...$child, $field => $say($child[$field], "{$subject}.{$name}")];
            }
        }
        foreach (self::LISTS as $list) {
            $texts = $document[$list] ?? null;
            if (is_array($texts) && array_is_list($texts)) {
                $document[$list] = array_map(
                    static fn(mixed $text, int $i): mixed => $say($text, "{$subject}.{$list}_" . ($i + 1)),
                    $texts,
                    array_keys($texts),
                );
            }
        }
        $cautions = array_flip(self::cautions());
        if (is_array($document['cautions'] ?? null)) {
            $document['cautions'] = array_map(
                static fn(mixed $text): mixed => is_string($text) ? $say($text, $cautions[$text] ?? '') : $text,
                $document['cautions'],
            );
        }

        return $document;
    }

    private static function subject(string $key): string
    {
        return 'formula_' . str_replace('-', '_', $key);
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array<array-key, mixed>
     */
    private static function child(array $document, string $name): array
    {
        $child = $document[$name] ?? null;

        return is_array($child) ? $child : [];
    }

    /** @return list<string> */
    private static function texts(mixed $texts): array
    {
        return is_array($texts) ? array_values(array_filter($texts, is_string(...))) : [];
    }

    /** @return array<string, string> in English, by code */
    private static function cautions(): array
    {
        return array_filter(
            Catalogue::of(Catalogue::FALLBACK)->patterns(),
            static fn(string $code): bool => str_starts_with($code, 'formula_caution.'),
            ARRAY_FILTER_USE_KEY,
        );
    }
}
