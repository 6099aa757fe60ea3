<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

/**
 * Something a jar wants on some days of its life, counted from the day on which it was begun.
 */
final readonly class Chore
{
    /**
     * @param  string  $code  stable word for it, for example "burp"
     * @param  int  $every  days from one time to the next
     * @param  int  $first  the first day
     * @param  int|null  $last  the last day on which it can fall; null: as long as there is food in the jar
     */
    public function __construct(public string $code, public string $text, public int $every, public int $first, public ?int $last)
    {
    }

    public function isDueOn(int $day): bool
    {
        return $this->nextFrom($day) === $day;
    }

    /** The first day from a day on, that day included; null when it is over by then. */
    public function nextFrom(int $day): ?int
    {
        $next = $day <= $this->first ? $this->first : $this->first + $this->every * intdiv($day - $this->first + $this->every - 1, $this->every);

        return $this->last !== null && $next > $this->last ? null : $next;
    }
}
