<?php

declare(strict_types=1);

namespace Tempesal\Core\Restock;

/**
 * A batch on the timeline: standing, planned, or suggested. Days are counted from today.
 */
final readonly class ScheduledBatch
{
    /**
     * @param  string|null  $vessel  the jar it holds from its start until it is empty; null: none of those that are
     *     planned with
     * @param  int  $start  below 0 for what stands already
     * @param  int  $ready  the day from which it is eaten
     * @param  float  $grams  of what is eaten of it
     * @param  int  $useBy  the last day on which it keeps
     * @param  array<int, float>  $meant  grams that are planned to be eaten of it, by day
     */
    public function __construct(
        public string $id,
        public string $kind,
        public ?string $vessel,
        public int $start,
        public int $ready,
        public float $grams,
        public int $useBy,
        public string $size = '',
        public float $share = 1.0,
        public array $meant = [],
    ) {}
}
