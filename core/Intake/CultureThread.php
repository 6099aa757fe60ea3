<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Method\CultureGroup;

/**
 * One kind of cultures through the weeks.
 */
final class CultureThread
{
    /** @var list<array{servings: int, grams: float}> */
    private array $weeks;

    /** @var array<string, true> */
    private array $names = [];

    private string $lastOn = '';

    private int $young = 0;

    private int $ripe = 0;

    private bool $isMissed = false;

    public function __construct(public readonly CultureGroup $group, int $weeks, public readonly bool $isNew)
    {
        $this->weeks = array_fill(0, $weeks, ['servings' => 0, 'grams' => 0.0]);
    }

    public function eat(int $week, string $date, string $name, float $grams, ?bool $isYoung): void
    {
        $there = $this->weeks[$week];
        $this->weeks[$week] = ['servings' => $there['servings'] + 1, 'grams' => $there['grams'] + $grams];
        $this->names[$name] = true;
        $this->lastOn = max($this->lastOn, $date);
        $this->young += $isYoung === true ? 1 : 0;
        $this->ripe += $isYoung === false ? 1 : 0;
    }

    public function miss(bool $isMissed): void
    {
        $this->isMissed = $isMissed;
    }

    /** @return list<array{servings: int, grams: float}> oldest first */
    public function weeks(): array
    {
        return $this->weeks;
    }

    /** @return list<string> of the jars, as they are called */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->names));
    }

    public function lastOn(): string
    {
        return $this->lastOn;
    }

    public function servings(): int
    {
        return array_sum(array_column($this->weeks, 'servings'));
    }

    /** Portions before it was ready, and after. */
    public function young(): int
    {
        return $this->young;
    }

    public function ripe(): int
    {
        return $this->ripe;
    }

    public function isMissed(): bool
    {
        return $this->isMissed;
    }
}
