<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Produce\Ingredient;

/**
 * How much of another batch's brine can join before this one is stronger than it may be?
 */
final readonly class BrineUnderStrength implements InverseQuestion
{
    private function __construct(private TargetStrength $wanted, private Ingredient $liquid, private ?Grams $there) {}

    public static function read(Fields $fields): self
    {
        return new self(
            TargetStrength::read($fields),
            Ingredient::read($fields->child('liquid')),
            $fields->has('there') ? $fields->grams('there') : null,
        );
    }

    public function answer(Ledger $ledger): InverseAnswer
    {
        $strength = Strength::of($ledger->state());
        $now = $strength->share($this->wanted->basis) ?? 0.0;
        $name = $this->liquid->label();
        $room = $strength->roomFor(
            $this->liquid->masses(100.0, Point::typical()),
            $this->wanted->share,
            $this->wanted->basis,
        );
        if ($room === null) {
            return new InverseAnswer(
                null,
                'g',
                $now,
                true,
                Message::of('inverse.brine_any', name: $name, wanted: $this->wanted->text()),
            );
        }
        if ($room->isZero()) {
            return new InverseAnswer(
                0.0,
                'g',
                $now,
                false,
                Message::of('inverse.brine_none', now: $this->wanted->text($now)),
            );
        }
        if ($this->there !== null && $this->there->value < $room->value) {
            return new InverseAnswer(
                $this->there->value,
                'g',
                $this->wanted->share,
                true,
                Message::of('inverse.brine_all', grams: round($this->there->value, 0), name: $name),
            );
        }

        return new InverseAnswer(
            $room->value,
            'g',
            $this->wanted->share,
            true,
            Message::of(
                'inverse.brine_up_to',
                grams: round($room->value, 0),
                name: $name,
                wanted: $this->wanted->text(),
            ),
        );
    }
}
