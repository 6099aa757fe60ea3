<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Message\Message;

/**
 * What a jar can ask for, what it means when that was missed, and how it is said to be done: common practice, no
 * source.
 */
enum Task: string
{
    /** The next step of making it. */
    case Step = 'step';
    case Discard = 'discard';
    case Burp = 'burp';
    case Stir = 'stir';
    case Press = 'press';
    case Skim = 'skim';
    case Airlock = 'airlock';
    case Taste = 'taste';
    case MeasurePh = 'ph';
    case ToFridge = 'fridge';
    case Blend = 'blend';
    case UseUp = 'use_up';

    public function text(): Message
    {
        return Message::of("task.{$this->value}");
    }

    /** What it means that it is this many days late. */
    public function whenLate(int $days): Message
    {
        return Message::of("task_when_late.{$this->value}", late: $days);
    }

    /** How it is done: with a tap, by writing a taste or a reading down, by moving the jar, or by emptying it. */
    public function doneBy(): string
    {
        return match ($this) {
            self::Taste, self::MeasurePh => 'log',
            self::ToFridge => 'move',
            self::Step => 'counter',
            self::Discard, self::UseUp => 'empty',
            default => 'tap',
        };
    }
}
