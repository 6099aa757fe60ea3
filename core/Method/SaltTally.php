<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Discard;
use Tempesal\Core\Ledger\Entry\ReSalt;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Salt\JarContents;

/**
 * Adds up, entry by entry, what is salted together. Weights in grams, typical.
 */
final class SaltTally
{
    private float $salt = 0.0;

    private float $water = 0.0;

    private float $vegetable = 0.0;

    private float $other = 0.0;

    private float $starterWater = 0.0;

    private bool $isWild = true;

    private bool $isSauce = false;

    /** @var array<string, array{Ingredient, float}> by the food's id */
    private array $solids = [];

    public function count(Entry $entry, BatchState $before): void
    {
        match (true) {
            $entry instanceof Salt => ($this->salt += $entry->dose->grams()->value),
            $entry instanceof ReSalt => ($this->salt += $entry->grams->value ?? 0.0),
            $entry instanceof Add => $this->add($entry),
            $entry instanceof Starter => $this->start($entry),
            $entry instanceof Discard && $entry->phase === Phase::Brine => $this->pourAway(
                $entry->grams->value,
                $before,
            ),
            default => null,
        };
        $this->countSolids($entry);
    }

    public function countSolids(Entry $entry): void
    {
        if ($entry instanceof Add && $entry->ingredient->isSolid()) {
            $there = $this->solids[$entry->ingredient->id][1] ?? 0.0;
            $this->solids[$entry->ingredient->id] = [$entry->ingredient, $there + $entry->grams->typical];
        }
        if ($entry instanceof Starter && $entry->liquid->live) {
            $this->isWild = false;
        }
    }

    /** @param  bool  $hasLiquid  whether the water of a starter joins a brine; otherwise it is one part among others */
    public function contents(bool $hasLiquid): JarContents
    {
        return new JarContents(
            Grams::of($this->salt),
            Grams::of($this->vegetable),
            Grams::of($this->water + ($hasLiquid ? $this->starterWater : 0.0)),
            Grams::of($this->other + ($hasLiquid ? 0.0 : $this->starterWater)),
        );
    }

    /** @return list<array{Ingredient, float}> */
    public function solids(): array
    {
        return array_values($this->solids);
    }

    public function isWild(): bool
    {
        return $this->isWild;
    }

    /** The method by which something was made that has become a sauce since. */
    public function method(): Method
    {
        return match (true) {
            $this->isSauce => Method::Mash,
            $this->water > 0.0 => Method::PouredBrine,
            default => Method::DrySalting,
        };
    }

    private function add(Add $entry): void
    {
        $grams = $entry->grams->typical;
        match (true) {
            $entry->ingredient->id === Ingredient::water()->id => ($this->water += $grams),
            $entry->into === Phase::Brine => ($this->other += $grams),
            default => ($this->vegetable += $grams),
        };
        $this->isSauce = $this->isSauce || $entry->into === Phase::Sauce;
    }

    private function start(Starter $entry): void
    {
        $starter = $entry->liquid->masses($entry->grams->value, Point::typical());
        $this->salt += SodiumChloride::gramsFor($starter->sodiumMg);
        $this->starterWater += $starter->waterG;
        $this->other += $starter->otherG;
    }

    /** Brine that was mixed and not poured takes its share of salt and water along. */
    private function pourAway(float $grams, BatchState $before): void
    {
        $brine = $before->phase(Phase::Brine)->weightG();
        $stays = $brine > 0.0 ? max(0.0, 1.0 - $grams / $brine) : 1.0;
        $this->salt *= $stays;
        $this->water *= $stays;
        $this->starterWater *= $stays;
    }
}
