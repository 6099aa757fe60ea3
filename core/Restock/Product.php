<?php

declare(strict_types=1);

namespace Tempesal\Core\Restock;

/**
 * A kind of ferment that is to be there every day: how much of it is eaten, and how it is made.
 */
final readonly class Product
{
    /**
     * @param  float  $perDay  grams that are eaten a day
     * @param  list<int>  $leadDays  days until it is ready, by the day on which it is started; empty: it cannot be made
     * @param  array<string, float>  $gramsIn  what is eaten of a full jar, by its size; sizes that do not suit are left
     *     out
     * @param  int  $keeps  days for which it keeps once it is ready
     * @param  list<bool>  $mayStart  whether it is in season, by day
     * @param  int  $plannedDays  for which the plan says what is eaten of each batch; from then on it is `perDay`
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $perDay,
        public array $leadDays,
        public array $gramsIn,
        public int $keeps,
        public array $mayStart,
        public int $plannedDays = 0,
    ) {}

    /** The last day on which a batch can be started so that it is ready by a day; null when no day is early enough. */
    public function lastStart(int $by): ?int
    {
        for ($start = min($by, count($this->leadDays) - 1); $start >= 0; $start--) {
            if ($this->mayStart[$start] && $start + $this->leadDays[$start] <= $by) {
                return $start;
            }
        }

        return null;
    }

    /** The first day from a day on, on which one may be started; null when the season does not come. */
    public function nextStart(int $from): ?int
    {
        for ($start = max(0, $from); $start < count($this->leadDays); $start++) {
            if ($this->mayStart[$start]) {
                return $start;
            }
        }

        return null;
    }
}
