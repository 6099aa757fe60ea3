<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Tempesal\Core\Intake\RemedyKind;
use Tempesal\Core\Message\Message;

/**
 * A change of one serving, and what it saves.
 */
final readonly class Suggestion
{
    /**
     * @param  float  $savesMg  milligrams less on that eater's day
     * @param  bool  $isEnough  whether nothing more is needed then
     * @param  WeekServing|null  $instead  what takes its place; null: nothing
     */
    public function __construct(
        public RemedyKind $kind,
        public Message $text,
        public WeekServing $serving,
        public ?WeekServing $instead,
        public float $savesMg,
        public bool $isEnough,
    ) {}
}
