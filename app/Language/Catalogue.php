<?php

declare(strict_types=1);

namespace App\Language;

use LogicException;

/**
 * Every sentence of one language: messages/LANGUAGE/SUBJECT.json, an object of patterns by name. What a language lacks is
 * said in English.
 */
final readonly class Catalogue
{
    public const FALLBACK = 'en';

    /** @param  array<string, string>  $patterns  by "subject.name" */
    private function __construct(private array $patterns) {}

    /** @param  string  $locale  of which the language counts, or a folder of its very name */
    public static function of(string $locale): self
    {
        $language = is_dir(self::folder($locale)) ? $locale : (string) strtok($locale, '-_');

        return new self([...self::read(self::FALLBACK), ...$language === self::FALLBACK ? [] : self::read($language)]);
    }

    public function pattern(string $code): string
    {
        return $this->patterns[$code] ?? throw new LogicException("The catalogue has no \"{$code}\".");
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
