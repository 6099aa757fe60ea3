<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

/**
 * Something served to someone at a meal of a day; all by their places in the instance.
 */
final readonly class Assignment
{
    public function __construct(public int $eater, public int $day, public int $meal, public int $option) {}
}
