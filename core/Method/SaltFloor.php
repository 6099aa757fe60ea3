<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Salt\SaltBasis;

/**
 * The one answer to "is this salt enough?", for everything that warns, asks backwards or suggests. Salt is part of the
 * safety: common practice, no source, but for kraut, where published recipes come to about 2.4 % of the vegetable.
 *
 * A method has a least share on its own basis. A food may ask for more; it counts where it is a tenth or more of the
 * solids by typical weight, and the strictest of them holds. A food's floor is said of poured water; where none is
 * poured, or salt is said of everything, it is half of it of everything, for then the food takes up about half.
 */
final readonly class SaltFloor
{
    /** Salt of everything in the jar below which nothing should ferment. */
    public const FERMENTING = 0.01;

    /** Salt of everything below which a start without a starter is uncertain. */
    public const LOW = 0.015;

    /** Salt of everything above which it ferments slowly. */
    public const SLOW = 0.05;

    /** Salt of everything above which it hardly ferments at all. */
    public const LARDER = 0.1;

    /** A food with less of the solids than this does not count. */
    private const TENTH = 0.1;

    /** A tenth is a tenth, whatever the last digit of a sum says. */
    private const ROUNDING = 1e-9;

    /** What a food that is said of the water asks for where there is no poured water. */
    private const WITHOUT_WATER = 0.5;

    /** @param  list<SaltLine>  $lines  all of which hold; the one on the method's own basis first */
    private function __construct(public array $lines) {}

    /** Those that hold for a batch; none where nothing solid is salted, or nothing is left to ferment. */
    public static function of(?SaltedContents $jar): self
    {
        if ($jar === null || $jar->solids === [] || (!$jar->ferments && $jar->method->isFerment())) {
            return new self([]);
        }

        return self::for($jar->method, self::strictest($jar));
    }

    /**
     * Those of a method.
     *
     * @param  Ingredient|null  $food  whose own floor counts; null: none
     */
    public static function for(Method $method, ?Ingredient $food = null): self
    {
        $salting = $method->profile()->salting;
        $lines = $salting->least === null ? [] : [new SaltLine($salting->basis, $salting->least)];
        if ($salting->leastOfEverything !== null) {
            $lines[] = new SaltLine(SaltBasis::OfEverything, $salting->leastOfEverything);
        }
        if ($salting->leastAtTheEnd !== null) {
            $lines[] = new SaltLine(SaltBasis::OfEverything, $salting->leastAtTheEnd, true);
        }

        return new self($food === null || !$salting->mindsFoods ? $lines : self::raised($lines, $food, $salting));
    }

    /** The line that is missed by most; null where the salt is enough. */
    public function missed(?SaltedContents $jar): ?SaltLine
    {
        $worst = null;
        $depth = 1.0;
        foreach ($this->lines as $line) {
            $part = $jar === null ? null : $line->shareOf($jar);
            if ($jar !== null && $part !== null && $line->isMissed($jar) && $part / $line->least < $depth) {
                [$worst, $depth] = [$line, $part / $line->least];
            }
        }

        return $worst;
    }

    /** Whether no line is missed, not even by a hair: what something that asks backwards stops at. */
    public function isMet(?SaltedContents $jar): bool
    {
        foreach ($this->lines as $line) {
            if ($jar !== null && ($line->shareOf($jar) ?? INF) < $line->least) {
                return false;
            }
        }

        return true;
    }

    /** The line on the method's own basis; null for a method without one. */
    public function main(): ?SaltLine
    {
        return $this->lines[0] ?? null;
    }

    /**
     * The line that holds once the salt goes down as far as it may: the first that would be missed.
     */
    public function binding(SaltedContents $jar): ?SaltLine
    {
        $nearest = null;
        $room = INF;
        foreach ($this->lines as $line) {
            $share = $line->shareOf($jar);
            if ($share !== null && $share / $line->least < $room) {
                [$nearest, $room] = [$line, $share / $line->least];
            }
        }

        return $nearest;
    }

    private static function strictest(SaltedContents $jar): ?Ingredient
    {
        $strictest = null;
        foreach ($jar->solids as [$food, $grams]) {
            if (
                $grams >= $jar->solidsG() * self::TENTH - self::ROUNDING &&
                ($strictest === null || $food->brineFloor > $strictest->brineFloor)
            ) {
                $strictest = $food;
            }
        }

        return $strictest;
    }

    /**
     * @param  list<SaltLine>  $lines
     * @return list<SaltLine> with the food's own floor on the line that speaks of water, or of everything
     */
    private static function raised(array $lines, Ingredient $food, Salting $salting): array
    {
        if ($salting->basis === SaltBasis::OfWater && $salting->leastAtTheEnd === null) {
            return self::with($lines, new SaltLine(SaltBasis::OfWater, $food->brineFloor, false, $food->label()));
        }

        return self::with(
            $lines,
            new SaltLine(
                SaltBasis::OfEverything,
                $food->brineFloor * self::WITHOUT_WATER,
                $salting->leastAtTheEnd !== null,
                $food->label(),
            ),
        );
    }

    /**
     * @param  list<SaltLine>  $lines
     * @return list<SaltLine>
     */
    private static function with(array $lines, SaltLine $own): array
    {
        foreach ($lines as $i => $line) {
            if ($line->basis === $own->basis && $line->isAtTheEnd === $own->isAtTheEnd) {
                $lines[$i] = $own->least > $line->least ? $own : $line;

                return $lines;
            }
        }

        return [...$lines, $own];
    }
}
