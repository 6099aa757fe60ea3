<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * In which measures a kitchen thinks: what a tablespoon, a pint and a bare temperature are there.
 */
enum Habit: string
{
    case Us = 'us';
    case Uk = 'uk';
    case Australian = 'au';
    case Metric = 'metric';

    public function spoons(): SpoonSystem
    {
        return match ($this) {
            self::Us => SpoonSystem::Us,
            self::Uk => SpoonSystem::Imperial,
            self::Australian => SpoonSystem::Australian,
            self::Metric => SpoonSystem::Metric,
        };
    }

    public static function ofSpoons(SpoonSystem $spoons): self
    {
        return match ($spoons) {
            SpoonSystem::Us => self::Us,
            SpoonSystem::Imperial => self::Uk,
            SpoonSystem::Australian => self::Australian,
            SpoonSystem::Metric => self::Metric,
        };
    }

    /** What a locale's region measures in: en-GB is not US, en-AU has 20 ml tablespoons; unknown regions are metric. */
    public static function ofLocale(string $locale): self
    {
        $region = preg_match('/[-_]([A-Z]{2})\b/', $locale, $m) === 1 ? $m[1] : '';

        return match ($region) {
            'US', 'PR', 'LR', 'GU', 'VI' => self::Us,
            'GB', 'IE', 'IM', 'JE', 'GG', 'GI', 'MT' => self::Uk,
            'AU' => self::Australian,
            '' => str_starts_with(strtolower($locale), 'en') ? self::Us : self::Metric,
            default => self::Metric,
        };
    }
}
