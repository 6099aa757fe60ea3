<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

/**
 * Something a jar wants once, or on some days of its life, counted from the day on which it was begun.
 */
final readonly class Chore
{
    /**
     * @param  int  $every  days from one time to the next; 0: once
     * @param  int  $first  the first day
     * @param  int|null  $last  the last day on which it makes sense; null: as long as there is food in the jar
     * @param  float|null  $at  seconds since it was begun at which it falls due, where hours matter
     */
    public function __construct(
        public Task $task,
        public int $every,
        public int $first,
        public ?int $last,
        public ?float $at = null,
    ) {}

    /**
     * The day on which it is wanted next, which may have passed; null when it is over.
     *
     * @param  int|null  $done  the day on which it was last done
     */
    public function nextAfter(?int $done): ?int
    {
        $next = match (true) {
            $done === null || $done < $this->first => $this->first,
            $this->every === 0 => null,
            default => max($this->first, $done + $this->every),
        };

        return $next === null || ($this->last !== null && $next > $this->last) ? null : $next;
    }
}
