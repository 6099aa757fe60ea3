<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;

/**
 * How much of it holds so much sodium?
 */
final readonly class PortionForSodium implements InverseQuestion
{
    private function __construct(private float $sodiumMg, private Serve $serving) {}

    public static function read(Fields $fields): self
    {
        return new self(TargetSodium::read($fields), TargetSodium::serving($fields, Grams::of(1.0)));
    }

    public function answer(Ledger $ledger): InverseAnswer
    {
        $state = $ledger->state();
        $perGram = $this->serving->weighing(Grams::of(100.0))->sodiumMg($state, Point::typical()) / 100.0;
        if ($perGram <= 0.0) {
            return new InverseAnswer(null, 'g', 0.0, true, Message::of('inverse.no_sodium'));
        }
        $grams = $this->sodiumMg / $perGram;
        $there = $state->phase($this->serving->phase)->weightG();
        if ($grams > $there) {
            return new InverseAnswer(
                $there,
                'g',
                $there * $perGram,
                true,
                Message::of('inverse.portion_all', grams: round($there, 0), mg: round($there * $perGram, 0)),
            );
        }

        return new InverseAnswer(
            $grams,
            'g',
            $this->sodiumMg,
            true,
            Message::of('inverse.portion', grams: round($grams, 0), mg: round($this->sodiumMg, 0)),
        );
    }
}
