<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Message\Message;

/**
 * What counts how much in a week. The defaults are this project's own judgement.
 */
final readonly class ObjectiveWeights
{
    public const MOST = 10_000.0;

    /**
     * @param  float  $short  for each live serving that is missing from a day's goal
     * @param  float  $variety  for each group of cultures that an eater meets in the week
     * @param  float  $urgency  for a serving on its last day, less the longer it keeps
     * @param  float  $over  for each milligram beyond a soft limit
     * @param  float  $sodium  for a day's target of sodium
     * @param  float  $repeat  for the same on two days running
     * @param  float  $small  for the part by which a portion is smaller than usual
     * @param  float  $fair  for each live serving that is missing from the week of whoever misses most
     * @param  float  $keep  for a cell that stays as it was planned before; not part of the objective that is reported
     */
    public function __construct(
        public float $short = 100.0,
        public float $variety = 10.0,
        public float $urgency = 2.0,
        public float $over = 0.02,
        public float $sodium = 0.2,
        public float $repeat = 3.0,
        public float $keep = 1.0,
        public float $small = 2.0,
        public float $fair = 0.0,
    ) {}

    /**
     * @param  float  $fair  where nothing is said of it
     *
     * @throws InvalidField
     */
    public static function read(Fields $fields, float $fair = 0.0): self
    {
        $usual = new self(fair: $fair);
        $weight = static function (string $key, float $default) use ($fields): float {
            $value = $fields->number($key, $default);

            return $value < 0.0 || $value > self::MOST
                ? throw $fields->invalid($key, Message::of('errors.weight_range'))
                : $value;
        };

        return new self(
            $weight('short', $usual->short),
            $weight('variety', $usual->variety),
            $weight('urgency', $usual->urgency),
            $weight('over', $usual->over),
            $weight('sodium', $usual->sodium),
            $weight('repeat', $usual->repeat),
            $weight('keep', $usual->keep),
            $weight('small', $usual->small),
            $weight('fair', $usual->fair),
        );
    }
}
