<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Message\Message;

/**
 * Public guideline figures for a day's sodium, most of them upper limits. They are figures, not advice: the target
 * belongs to the eater and their clinician. All from memory of the named body's publication. Nobody under one year has
 * one.
 */
enum TargetPreset: string
{
    case WhoAdult = 'who_adult';
    case UsDailyValue = 'us_daily_value';
    /** The level to which less sodium lowers the risk of chronic disease. */
    case NasemAdult = 'nasem_adult';
    case AhaIdeal = 'aha_ideal';
    case EfsaAdult = 'efsa_adult';
    case UkAdult = 'uk_adult';
    case KidneyDisease = 'kidney_disease';
    case NasemChild1 = 'nasem_child_1';
    case NasemChild4 = 'nasem_child_4';
    case NasemChild9 = 'nasem_child_9';
    case NasemChild14 = 'nasem_child_14';
    case EfsaChild1 = 'efsa_child_1';
    case EfsaChild4 = 'efsa_child_4';
    case EfsaChild7 = 'efsa_child_7';
    case EfsaChild11 = 'efsa_child_11';
    case UkChild1 = 'uk_child_1';
    case UkChild4 = 'uk_child_4';
    case UkChild7 = 'uk_child_7';
    /** An adequate intake is what is enough, and no limit: no longer offered, still understood. */
    case NasemAdequate = 'nasem_adequate';

    /** @return list<self> those that are limits */
    public static function offered(): array
    {
        $offered = [];
        foreach (self::cases() as $preset) {
            if ($preset !== self::NasemAdequate) {
                $offered[] = $preset;
            }
        }

        return $offered;
    }

    /** Milligrams of sodium a day. */
    public function milligrams(): int
    {
        return match ($this) {
            self::UkChild1 => 800,
            self::EfsaChild1 => 1100,
            self::NasemChild1, self::UkChild4 => 1200,
            self::EfsaChild4 => 1300,
            self::AhaIdeal, self::NasemAdequate, self::NasemChild4 => 1500,
            self::EfsaChild7 => 1700,
            self::NasemChild9 => 1800,
            self::WhoAdult, self::EfsaAdult, self::EfsaChild11, self::KidneyDisease, self::UkChild7 => 2000,
            self::UsDailyValue, self::NasemAdult, self::NasemChild14 => 2300,
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
