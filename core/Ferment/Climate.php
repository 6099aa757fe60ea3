<?php

declare(strict_types=1);

namespace Tempesal\Core\Ferment;

use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Uptake\TemperatureHistory;

/**
 * How warm a room was, is and will be, in quarters of a day. What was read counts first; between readings that lie
 * close together the room is taken to have gone straight from one to the next. Then comes what the cook expects, then
 * for a week the mean of the last three days of readings, then the room as it usually is, with its warm and its cool
 * hours.
 *
 * Moments are seconds since 1970 in UTC. Spans and gaps are common practice, no source.
 */
final class Climate
{
    /** Seconds in which a room is taken to be of one temperature. */
    public const QUARTER_S = 21_600.0;

    private const DAY_S = 86_400.0;

    /** Readings further apart say nothing about the time between them. */
    private const CLOSE_S = 1.5 * self::DAY_S;

    /** How long a single reading speaks for the room, before and after. */
    private const SPEAKS_S = 0.5 * self::DAY_S;

    /** The days of readings from which the next ones are guessed, and how far that guess goes. */
    private const LATELY_S = 3.0 * self::DAY_S;

    private const GUESS_S = 7.0 * self::DAY_S;

    /** The warm and cool hours are followed for so long; beyond, the room stays at what they come to. */
    private const AHEAD_S = 60.0 * self::DAY_S;

    /** @var array<int, float> degrees in the whole quarters that were asked for, since 1970: a room has many jars */
    private array $quarters = [];

    /**
     * @param  Celsius  $usual  the mean of an ordinary day
     * @param  float  $swing  degrees by which the warmest hour is above it and the coolest below
     * @param  float  $warmestAt  seconds of the UTC day at which it is warmest
     * @param  list<array{float, float}>  $readings  moment and degrees Celsius, ascending
     * @param  list<array{float, float, float}>  $spells  first moment, end and degrees that the cook expects
     * @param  float  $now  the moment at which it is asked
     */
    public function __construct(
        private readonly Celsius $usual,
        private readonly float $swing,
        private readonly float $warmestAt,
        private readonly array $readings,
        private readonly array $spells,
        private readonly float $now,
    ) {}

    /** The room's temperatures from a moment on, times counted from it. */
    public function from(float $moment): TemperatureHistory
    {
        $until = max($this->now, $moment) + ($this->swing > 0.0 ? self::AHEAD_S : $this->lastSaid() - $this->now);
        $spans = [];
        $next = 0;
        for ($at = $moment; $at < $until; $at = $end) {
            $quarter = (int) floor($at / self::QUARTER_S);
            $end = ($quarter + 1) * self::QUARTER_S;
            // The first one is not whole.
            $celsius =
                $at > $moment
                    ? ($this->quarters[$quarter] ??= $this->during($at, $end, $next))
                    : $this->during($at, $end, $next);
            $last = count($spans) - 1;
            if ($last >= 0 && abs($spans[$last][1] - $celsius) < 1e-9) {
                $spans[$last][0] += $end - $at;
            } else {
                $spans[] = [$end - $at, $celsius];
            }
        }
        $spans[] = [self::DAY_S, $this->steady()->value];

        return TemperatureHistory::ofSpans(
            array_map(static fn(array $span): array => [$span[0], Celsius::of($span[1])], $spans),
        );
    }

    /** The last moment about which more is known than how the room usually is. */
    private function lastSaid(): float
    {
        $read = $this->readings === [] ? $this->now : $this->readings[count($this->readings) - 1][0] + self::GUESS_S;

        return max([$this->now, $read, ...array_column($this->spells, 1)]);
    }

    /**
     * @param  int  $next  the first reading that may lie in this quarter or after it; moved on for the quarters after
     */
    private function during(float $begin, float $end, int &$next): float
    {
        $sum = 0.0;
        $count = 0;
        while (isset($this->readings[$next]) && $this->readings[$next][0] < $end) {
            if ($this->readings[$next][0] >= $begin) {
                $sum += $this->readings[$next][1];
                $count++;
            }
            $next++;
        }
        if ($count > 0) {
            return $sum / $count;
        }

        $middle = ($begin + $end) / 2.0;

        return $this->between($this->readings[$next - 1] ?? null, $this->readings[$next] ?? null, $middle) ??
            ($this->expected($middle) ?? ($this->guessed($middle) ?? $this->usually($middle)));
    }

    /**
     * @param  array{float, float}|null  $before
     * @param  array{float, float}|null  $after
     */
    private function between(?array $before, ?array $after, float $moment): ?float
    {
        if ($before !== null && $after !== null && $after[0] - $before[0] <= self::CLOSE_S) {
            return $before[1] + (($after[1] - $before[1]) * ($moment - $before[0])) / ($after[0] - $before[0]);
        }

        return match (true) {
            $before !== null && $moment - $before[0] <= self::SPEAKS_S => $before[1],
            $after !== null && $after[0] - $moment <= self::SPEAKS_S => $after[1],
            default => null,
        };
    }

    private function expected(float $moment): ?float
    {
        foreach ($this->spells as [$begin, $end, $celsius]) {
            if ($moment >= $begin && $moment < $end) {
                return $celsius + $this->hourly($moment);
            }
        }

        return null;
    }

    private function guessed(float $moment): ?float
    {
        $last = $this->readings[count($this->readings) - 1][0] ?? null;
        if ($last === null || $moment < $last || $moment > $last + self::GUESS_S) {
            return null;
        }
        $lately = array_filter(
            $this->readings,
            static fn(array $reading): bool => $reading[0] > $last - self::LATELY_S,
        );

        return array_sum(array_column($lately, 1)) / count($lately) + $this->hourly($moment);
    }

    private function usually(float $moment): float
    {
        return $this->usual->value + $this->hourly($moment);
    }

    private function hourly(float $moment): float
    {
        return $this->swing * cos((2.0 * M_PI * ($moment - $this->warmestAt)) / self::DAY_S);
    }

    /** The constant temperature at which things ripen as fast as on an ordinary day with its warm and cool hours. */
    private function steady(): Celsius
    {
        if ($this->swing <= 0.0) {
            return $this->usual;
        }
        $rate = 0.0;
        for ($hour = 0; $hour < 24; $hour++) {
            $rate += Ripening::factor(Celsius::of($this->usually($hour * 3600.0))) / 24.0;
        }

        return Ripening::temperature($rate);
    }
}
