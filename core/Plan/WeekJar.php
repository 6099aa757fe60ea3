<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\CultureGroup;

/**
 * A jar through the days of a week: what it holds, from when and until when it is eaten, what a portion of it carries.
 */
final class WeekJar
{
    /** @var array<string, float> milligrams in 100 g and its portions, as they were asked for */
    private array $known = [];

    /**
     * @param  float  $stock  grams of what is served from it
     * @param  int  $readyOn  day of the week on which it is ready; before the week when it is already
     * @param  int  $useBy  the last day on which it keeps
     * @param  non-empty-list<BatchState>  $states  about noon of each day
     * @param  list<float>  $portions  grams that each eater usually takes
     * @param  list<Message|null>  $notFor  why an eater does not eat it
     * @param  Message|null  $closed  why nobody does
     * @param  float  $low  the low end of its sodium's band, as a share of the typical
     * @param  float  $high  the high end
     * @param  CultureGroup|null  $culture  null: its own kind alone
     */
    public function __construct(
        public readonly string $id,
        public readonly string $name,
        public readonly bool $isLive,
        public readonly string $group,
        public readonly Served $served,
        public readonly float $stock,
        public readonly int $readyOn,
        public readonly int $useBy,
        public readonly array $states,
        public readonly array $portions,
        public readonly array $notFor,
        public readonly ?Message $closed,
        public readonly float $low,
        public readonly float $high,
        public readonly ?CultureGroup $culture = null,
    ) {}

    /** The same with another stock, in grams. */
    public function holding(float $stock): self
    {
        return new self(
            $this->id,
            $this->name,
            $this->isLive,
            $this->group,
            $this->served,
            $stock,
            $this->readyOn,
            $this->useBy,
            $this->states,
            $this->portions,
            $this->notFor,
            $this->closed,
            $this->low,
            $this->high,
            $this->culture,
        );
    }

    /** Milligrams of sodium in a portion taken on a day. */
    public function milligrams(int $day, float $grams, ServingStyle $way): float
    {
        return $this->known["{$day} {$grams} {$way->value}"] ??= $way
            ->plate($this->served, Grams::of($grams))
            ->sodiumMg($this->states[$day], Point::typical());
    }

    /** @return non-empty-list<ServingStyle> */
    public function ways(): array
    {
        return ServingStyle::of($this->served);
    }

    /** Why an eater should not be served from it on a day; null when nothing speaks against it. */
    public function objection(int $eater, int $day): ?Message
    {
        return $this->closed ??
            ($this->notFor[$eater] ??
                ($day < $this->readyOn
                    ? Message::of('objection.not_ready')
                    : ($day > $this->useBy
                        ? Message::of('objection.kept_time')
                        : null)));
    }
}
