<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Message\Message;

/**
 * How well someone knows what their other food holds. An estimate is wrong in the same way every day, and besides on each
 * day in its own way; both are half-widths of about 90 %. Orders of magnitude of studies of day-to-day sodium, from
 * memory.
 */
enum DietKnowledge: string
{
    case Rough = 'rough';
    case Typical = 'typical';
    case Weighed = 'weighed';

    /** Of what was written down food by food: what 21 CFR 101.9(g)(5) lets a label be off by, from memory. */
    public const WRITTEN = 0.2;

    /** Share by which every day is off alike. */
    public function everyDay(): float
    {
        return match ($this) {
            self::Rough => 0.3,
            self::Typical => 0.15,
            self::Weighed => 0.05,
        };
    }

    /** Share by which a day is off besides. */
    public function ofTheDay(): float
    {
        return match ($this) {
            self::Rough => 0.4,
            self::Typical => 0.3,
            self::Weighed => 0.1,
        };
    }

    public function label(): Message
    {
        return Message::of("diet_knowledge.{$this->value}");
    }
}
