<?php

declare(strict_types=1);

namespace Tempesal\Core\Making;

use Tempesal\Core\Message\Message;

/**
 * How far a jar is. Nothing of it is written down: it follows from the steps that were done.
 */
enum Stage: string
{
    /** Nothing is in it yet. */
    case Begun = 'begun';
    case Salting = 'salting';
    case Soaking = 'soaking';
    case Draining = 'draining';
    case Dressing = 'dressing';
    /** It stands for its hours. */
    case Resting = 'resting';
    case Working = 'working';
    case Ready = 'ready';
    case Cold = 'cold';
    case Blended = 'blended';
    case Bottled = 'bottled';
    case Empty = 'empty';

    /** "in its soak" */
    public function label(): Message
    {
        return Message::of("stage.{$this->value}");
    }

    /** Whether what is in it is food: before that it is not offered, planned, lent or counted as live. */
    public function isFood(): bool
    {
        return match ($this) {
            self::Begun, self::Salting, self::Soaking, self::Draining, self::Dressing, self::Resting => false,
            default => true,
        };
    }
}
