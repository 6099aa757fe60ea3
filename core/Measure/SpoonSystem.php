<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

/**
 * Which spoons and cups a cook owns; decides what "tbsp" means.
 */
enum SpoonSystem: string
{
    case Us = 'us';
    case Metric = 'metric';
    case Australian = 'australian';
    case Imperial = 'imperial';

    public function teaspoon(): VolumeUnit
    {
        return $this === self::Us ? VolumeUnit::UsTeaspoon : VolumeUnit::MetricTeaspoon;
    }

    public function tablespoon(): VolumeUnit
    {
        return match ($this) {
            self::Us => VolumeUnit::UsTablespoon,
            self::Metric, self::Imperial => VolumeUnit::MetricTablespoon,
            self::Australian => VolumeUnit::AustralianTablespoon,
        };
    }

    public function cup(): VolumeUnit
    {
        return $this === self::Us ? VolumeUnit::UsCup : VolumeUnit::MetricCup;
    }

    public function pint(): VolumeUnit
    {
        return $this === self::Us ? VolumeUnit::UsPint : VolumeUnit::ImperialPint;
    }
}
