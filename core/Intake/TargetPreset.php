<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Message\Message;

/**
 * Public guideline figures for a day's sodium. They are figures, not advice: the target belongs to the eater and
 * their clinician. All from memory of the named body's publication.
 */
enum TargetPreset: string
{
    case WhoAdult = 'who_adult';
    case UsDailyValue = 'us_daily_value';
    case AhaIdeal = 'aha_ideal';
    case NasemAdequate = 'nasem_adequate';
    case NasemChild1 = 'nasem_child_1';
    case NasemChild4 = 'nasem_child_4';
    case NasemChild9 = 'nasem_child_9';
    case UkAdult = 'uk_adult';

    /** Milligrams of sodium a day. */
    public function milligrams(): int
    {
        return match ($this) {
            self::WhoAdult => 2000,
            self::UsDailyValue => 2300,
            self::AhaIdeal, self::NasemAdequate, self::NasemChild4 => 1500,
            self::NasemChild1 => 1200,
            self::NasemChild9 => 1800,
            self::UkAdult => 2400,
        };
    }

    public function label(): Message
    {
        return Message::of("target_preset.{$this->value}");
    }

    public function source(): Message
    {
        return Message::of("target_preset_source.{$this->value}");
    }
}
