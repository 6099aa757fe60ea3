<?php

declare(strict_types=1);

namespace Tempesal\Core\Uptake;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Message\Message;

/**
 * Temperature over time in straight steps; after the last step it stays as it was. Times count from the start of a
 * bath.
 */
final readonly class TemperatureHistory
{
    /**
     * @param  non-empty-list<array{float, Celsius}>  $steps  seconds at which each temperature begins, ascending, the
     *     first 0
     */
    private function __construct(private array $steps) {}

    public static function constant(Celsius $temperature): self
    {
        return new self([[0.0, $temperature]]);
    }

    /**
     * @param  non-empty-list<array{float, Celsius}>  $spans  how many seconds each temperature lasts
     */
    public static function ofSpans(array $spans): self
    {
        $steps = [];
        $at = 0.0;
        foreach ($spans as [$seconds, $temperature]) {
            $steps[] = [$at, $temperature];
            $at += $seconds;
        }

        return new self($steps);
    }

    /**
     * The integral of a rate over the time from one moment to another.
     *
     * @param  callable(Celsius): float  $rate
     */
    public function integrate(float $from, float $to, callable $rate): float
    {
        $sum = 0.0;
        foreach ($this->steps as $i => [$begin, $temperature]) {
            if ($begin >= $to) {
                break;
            }
            $low = max($from, $begin);
            $high = min($to, $this->steps[$i + 1][0] ?? INF);
            if ($high > $low) {
                $sum += ($high - $low) * $rate($temperature);
            }
        }

        return $sum;
    }

    /**
     * The moment at which the integral of a rate from a moment on reaches an amount; null where it never does.
     *
     * @param  callable(Celsius): float  $rate  positive
     */
    public function whenReaches(float $amount, float $from, callable $rate): ?float
    {
        if ($amount <= 0.0) {
            return $from;
        }
        foreach ($this->steps as $i => [$begin, $temperature]) {
            $low = max($from, $begin);
            $high = $this->steps[$i + 1][0] ?? INF;
            if ($high <= $low) {
                continue;
            }
            $speed = $rate($temperature);
            if ($speed > 0.0 && $low + $amount / $speed <= $high) {
                return $low + $amount / $speed;
            }
            $amount -= $speed * ($high - $low);
        }

        return null;
    }

    /** The mean temperature from one moment to a later one. */
    public function mean(float $from, float $to): Celsius
    {
        return Celsius::of(
            $to > $from
                ? $this->integrate($from, $to, static fn(Celsius $celsius): float => $celsius->value) / ($to - $from)
                : $this->at($from)->value,
        );
    }

    public function at(float $moment): Celsius
    {
        $now = $this->steps[0][1];
        foreach ($this->steps as [$begin, $temperature]) {
            $now = $begin <= $moment ? $temperature : $now;
        }

        return $now;
    }

    /** Seconds at 20 °C in which salt would go as far as between these two moments. */
    public function secondsAt20(float $from, float $to): float
    {
        return $this->integrate($from, $to, Diffusivity::factor(...));
    }

    /**
     * Reads "celsius", a number, or "temperature", a list of {hours, celsius} spans; room temperature when neither is
     * given.
     *
     * @throws InvalidField
     */
    public static function read(Fields $fields, float $usualCelsius): self
    {
        if (!$fields->has('temperature')) {
            return self::constant(
                $fields->has('celsius') ? $fields->quantity('celsius', Celsius::class) : Celsius::of($usualCelsius),
            );
        }
        $spans = [];
        foreach ($fields->each('temperature') as $span) {
            $hours = $span->number('hours');
            if ($hours <= 0.0 || $hours > 100_000.0) {
                throw $span->invalid('hours', Message::of('errors.span_hours'));
            }
            $spans[] = [$hours * 3600.0, $span->quantity('celsius', Celsius::class)];
        }
        if ($spans === []) {
            throw $fields->invalid('temperature', Message::of('errors.no_spans'));
        }

        return self::ofSpans($spans);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        if (count($this->steps) === 1) {
            return ['celsius' => $this->steps[0][1]->value];
        }
        $spans = [];
        foreach ($this->steps as $i => [$begin, $temperature]) {
            $end = $this->steps[$i + 1][0] ?? $begin + 3600.0;
            $spans[] = ['hours' => ($end - $begin) / 3600.0, 'celsius' => $temperature->value];
        }

        return ['temperature' => $spans];
    }
}
