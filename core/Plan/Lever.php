<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * A change of one serving, and what it saves.
 */
final readonly class Lever
{
    /**
     * @param  float  $savesMg  milligrams less on that eater's day
     * @param  bool  $isEnough  whether nothing more is needed then
     * @param  WeekServing|null  $instead  what takes its place; null: nothing
     */
    public function __construct(public string $kind, public string $text, public WeekServing $serving, public ?WeekServing $instead, public float $savesMg, public bool $isEnough)
    {
    }
}
