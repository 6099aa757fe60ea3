<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Method\Window;

/**
 * How a formula by a method begins, before the cook says otherwise.
 */
final class FormulaDefaults
{
    /** A quart jar: common practice, no source. */
    private const VESSEL_ML = 946.0;

    /**
     * @return array{
     *     isLive: bool,
     *     serving: array{phase: string, grams: float},
     *     vessel: array{nominalMl: float, headspaceMm: float, cover: string},
     *     window: array{youngDays: float, readyDays: float, longDays: float, celsius: float},
     * } parts of its documented form
     */
    public static function of(Method $method): array
    {
        $eaten = $method->profile()->eaten;
        $storage = $method->profile()->storage;
        $window = $eaten->window ?? self::untilItIsEaten($method);

        return [
            'isLive' => $method->isFerment(),
            'serving' => ['phase' => $eaten->served->value, 'grams' => $eaten->portion->value],
            'vessel' => [
                'nominalMl' => self::VESSEL_ML,
                'headspaceMm' => $storage->headspace->value,
                'cover' => $storage->cover()->value,
            ],
            'window' => [
                'youngDays' => $window->youngDays,
                'readyDays' => $window->readyDays,
                'longDays' => $window->longDays,
                'celsius' => $window->temperature->value,
            ],
        ];
    }

    /** What does not ripen is ready when its salting is over, and good for as long as it keeps. */
    private static function untilItIsEaten(Method $method): Window
    {
        $profile = $method->profile();
        $days = round(($profile->preparation->salting->value ?? 0.0) / 86_400.0, 1);

        return Window::of($days, $days, (float) $profile->storage->fridgeDays, Place::Fridge->usual());
    }
}
