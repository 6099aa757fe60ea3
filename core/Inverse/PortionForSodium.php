<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Measure\Grams;

/**
 * How much of it holds so much sodium?
 */
final readonly class PortionForSodium implements InverseQuestion
{
    private function __construct(private float $sodiumMg, private Serve $serving)
    {
    }

    public static function read(Fields $fields): self
    {
        return new self(TargetSodium::read($fields), TargetSodium::serving($fields, Grams::of(1.0)));
    }

    public function answer(Ledger $ledger): InverseAnswer
    {
        $state = $ledger->state();
        $perGram = $this->serving->weighing(Grams::of(100.0))->sodiumMg($state, Point::typical()) / 100.0;
        if ($perGram <= 0.0) {
            return new InverseAnswer(null, 'g', 0.0, true, 'It holds no sodium.');
        }
        $grams = $this->sodiumMg / $perGram;
        $there = $state->phase($this->serving->phase)->weightG();
        if ($grams > $there) {
            return new InverseAnswer($there, 'g', $there * $perGram, true, sprintf('All %.0f g that are left hold %.0f mg.', $there, $there * $perGram));
        }

        return new InverseAnswer($grams, 'g', $this->sodiumMg, true, sprintf('%.0f g hold %.0f mg of sodium.', $grams, $this->sodiumMg));
    }
}
