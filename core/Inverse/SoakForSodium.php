<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry\Freshen;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Uptake\TemperatureHistory;

/**
 * How long must all the pieces lie in fresh water for a serving to hold no more than so much sodium?
 */
final readonly class SoakForSodium implements InverseQuestion
{
    private const LONGEST_S = 48.0 * 3600.0;

    /** The fridge: a long soak belongs there. */
    private const FRIDGE_CELSIUS = 4.0;

    private function __construct(
        private float $sodiumMg,
        private Serve $serving,
        private Grams $water,
        private TemperatureHistory $temperature,
    ) {}

    public static function read(Fields $fields): self
    {
        $serving = TargetSodium::serving($fields);
        if ($serving->phase !== Phase::Pieces) {
            throw $fields->invalid('phase', Message::of('errors.soak_pieces'));
        }

        return new self(
            TargetSodium::read($fields),
            $serving,
            $fields->grams('water'),
            TemperatureHistory::read($fields, self::FRIDGE_CELSIUS),
        );
    }

    public function answer(Ledger $ledger): InverseAnswer
    {
        $fresh = (new Freshen($this->water, Band::exact(ClingingBrine::drained()->typical)))->applyTo(
            $ledger->state(),
            Point::typical(),
        );
        $now = $this->serving->sodiumMg($ledger->state(), Point::typical());
        $sodiumAt = fn(float $seconds): float => $seconds === 0.0
            ? $now
            : $this->serving->sodiumMg(
                Soak::lasting(Seconds::of($seconds), $this->temperature)->applyTo($fresh, Point::typical()),
                Point::typical(),
            );

        return TargetSodium::inTime(
            $sodiumAt,
            $this->sodiumMg,
            self::LONGEST_S,
            Message::of('inverse.soak_none'),
            fn(float $seconds): Message => Message::of(
                'inverse.soak',
                time: TargetSodium::time($seconds),
                water: round($this->water->value, 0),
            ),
            static fn(float $best): Message => Message::of('inverse.soak_too_long', mg: round($best, 0)),
        );
    }
}
