<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

/**
 * What a jar can ask for, what it means when that was missed, and how it is said to be done: common practice, no source.
 */
enum Task: string
{
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

    public function text(): string
    {
        return match ($this) {
            self::Discard => 'Throw it out, and wash the jar hot',
            self::Burp => 'Open the lid a crack to let the gas out',
            self::Stir => 'Stir it, and press it down again',
            self::Press => 'Press it down under its juice, top up if it falls short',
            self::Skim => 'Lift the cloth, look for film and skim it, top up what dried away',
            self::Airlock => 'Empty the airlock and fill it anew',
            self::Taste => 'Taste it, and write down how it is',
            self::MeasurePh => 'Measure its pH',
            self::ToFridge => 'Ready: taste it and move it to the fridge',
            self::Blend => 'Strain it, keep some of the brine, and blend it',
            self::UseUp => 'Use it up; it has kept about as long as it does',
        };
    }

    /** What it means that it is this many days late. */
    public function whenLate(int $days): string
    {
        $late = $days === 1 ? 'since yesterday' : "for {$days} days";

        return match ($this) {
            self::Discard => "It should have gone {$late}. Do not taste it.",
            self::Burp => "Not opened {$late}: gas has built up and a sealed jar can burst. Open it over the sink, slowly, under a cloth.",
            self::Stir => "Not stirred {$late}: what lies dry on top is where mould begins. Look before you stir it in.",
            self::Press => "Not pressed {$late}: what rose above the juice meets air. Look at it before you press it down.",
            self::Skim => "Not looked at {$late}: film may have grown. Check the jar before you skim.",
            self::Airlock => "Not refilled {$late}: a dry airlock lets air in. Look at the top of the food.",
            self::Taste => "Not tasted {$late}: it goes on getting softer and sourer meanwhile.",
            self::MeasurePh => "Not measured {$late}: whether it has soured as it should is not known.",
            self::ToFridge => "Still out {$late}: it goes on getting softer and sourer. Smell and taste before serving.",
            self::Blend => "Not blended {$late}: it keeps as long as it lies under its brine.",
            self::UseUp => "Past the time it keeps {$late}: check it before each serving.",
        };
    }

    /** How it is done: with a tap, by writing a taste or a reading down, by moving the jar, or by emptying it. */
    public function doneBy(): string
    {
        return match ($this) {
            self::Taste, self::MeasurePh => 'log',
            self::ToFridge => 'move',
            self::Discard, self::UseUp => 'empty',
            default => 'tap',
        };
    }
}
