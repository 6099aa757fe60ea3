<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

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

    public function label(): string
    {
        return match ($this) {
            self::WhoAdult => 'Adult',
            self::UsDailyValue => 'Adult, label daily value',
            self::AhaIdeal => 'Adult, ideal limit',
            self::NasemAdequate => 'Adult, adequate intake',
            self::NasemChild1 => 'Child 1-3 years',
            self::NasemChild4 => 'Child 4-8 years',
            self::NasemChild9 => 'Child 9-13 years',
            self::UkAdult => 'Adult, 6 g salt',
        };
    }

    public function source(): string
    {
        return match ($this) {
            self::WhoAdult => 'World Health Organization, sodium intake guideline',
            self::UsDailyValue => 'US FDA daily value, 21 CFR 101.9(c)(9)',
            self::AhaIdeal => 'American Heart Association',
            self::NasemAdequate, self::NasemChild1, self::NasemChild4, self::NasemChild9 => 'NASEM 2019, Dietary Reference Intakes for Sodium and Potassium',
            self::UkAdult => 'UK adult maximum, 6 g salt a day',
        };
    }
}
