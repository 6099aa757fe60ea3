<?php

declare(strict_types=1);

namespace App\Language;

use Locale;
use LogicException;
use ResourceBundle;

/**
 * Every sentence of one language: messages/LANGUAGE/SUBJECT.json, an object of patterns by name. What a language lacks
 * is said in English.
 */
final class Catalogue
{
    public const FALLBACK = 'en';

    /** @var array<string, self> by language */
    private static array $known = [];

    /** @param  array<string, string>  $patterns  by "subject.name" */
    private function __construct(private readonly array $patterns) {}

    /** @param  string  $locale  of which the language counts, or a folder of its very name */
    public static function of(string $locale): self
    {
        $language = self::languageOf($locale) ?? self::FALLBACK;

        return self::$known[$language] ??= new self([
            ...self::read(self::FALLBACK),
            ...$language === self::FALLBACK ? [] : self::read($language),
        ]);
    }

    /**
     * By which days, numbers and lists are written: the reader's own locale, or that of an English reader in their
     * country where there is no catalogue in their language, so that 1.460 mg and 1,460 mg are never mistaken for each
     * other.
     *
     * @param  string  $locale  as BCP 47 has it
     */
    public static function localeFor(string $locale): string
    {
        if (self::languageOf($locale) !== null) {
            return $locale;
        }
        $likely = ResourceBundle::create('likelySubtags', 'ICUDATA', false)?->get((string) strtok($locale, '-_'));
        $region = Locale::getRegion($locale) ?: (is_string($likely) ? Locale::getRegion($likely) : '');

        return $region ? self::FALLBACK . "-{$region}" : self::FALLBACK;
    }

    /** @return list<string> languages that there is a catalogue of */
    public static function languages(): array
    {
        return array_map(basename(...), glob(self::folder('*'), GLOB_ONLYDIR) ?: []);
    }

    /** The folder for a locale, by its whole name or its language; null where there is none. */
    private static function languageOf(string $locale): ?string
    {
        foreach ([$locale, (string) strtok($locale, '-_')] as $name) {
            if ($name !== '' && is_dir(self::folder($name))) {
                return $name;
            }
        }

        return null;
    }

    public function pattern(string $code): string
    {
        return $this->patterns[$code] ?? throw new LogicException("The catalogue has no \"{$code}\".");
    }

    /**
     * What the library calls something, in this language; what is not called as in the English catalogue keeps its name.
     *
     * @param  string  $kept  its name or text as it is kept
     */
    public function named(string $code, string $kept): string
    {
        $english = self::of(self::FALLBACK)->patterns[$code] ?? null;

        return $english === $kept ? $this->patterns[$code] ?? $kept : $kept;
    }

    public function has(string $code): bool
    {
        return isset($this->patterns[$code]);
    }

    /** @return array<string, string> */
    public function patterns(): array
    {
        return $this->patterns;
    }

    /** @return array<string, string> */
    private static function read(string $language): array
    {
        $patterns = [];
        foreach (glob(self::folder($language) . '/*.json') ?: [] as $file) {
            $subject = basename($file, '.json');
            /** @var array<string, string> $all */
            $all = json_decode((string) file_get_contents($file), true, 2, JSON_THROW_ON_ERROR);
            foreach ($all as $name => $pattern) {
                $patterns["{$subject}.{$name}"] = $pattern;
            }
        }

        return $patterns;
    }

    private static function folder(string $language): string
    {
        return dirname(__DIR__, 2) . "/messages/{$language}";
    }
}
