<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Rinsing;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Message\Message;

/**
 * How long must a serving be rinsed to hold no more than so much sodium?
 */
final readonly class RinseForSodium implements InverseQuestion
{
    /** Nobody rinses a portion for longer. */
    private const LONGEST_S = 600.0;

    private function __construct(private float $sodiumMg, private Serve $serving, private Celsius $temperature) {}

    public static function read(Fields $fields): self
    {
        $serving = TargetSodium::serving($fields);
        if ($serving->phase !== Phase::Pieces) {
            throw $fields->invalid('phase', Message::of('errors.rinse_pieces'));
        }

        return new self(
            TargetSodium::read($fields),
            $serving,
            $fields->has('celsius') ? $fields->quantity('celsius', Celsius::class) : Celsius::of(Rinsing::TAP_CELSIUS),
        );
    }

    public function answer(Ledger $ledger): InverseAnswer
    {
        $state = $ledger->state();
        $sodiumAt = fn(float $seconds): float => $seconds === 0.0
            ? $this->serving->sodiumMg($state, Point::typical())
            : $this->serving
                ->rinsed(new Rinsing(Seconds::of($seconds), $this->temperature))
                ->sodiumMg($state, Point::typical());
        $seconds = TargetSodium::shortest($sodiumAt, $this->sodiumMg, self::LONGEST_S);
        if ($seconds === null) {
            $best = $sodiumAt(self::LONGEST_S);

            return new InverseAnswer(
                null,
                's',
                $best,
                false,
                Message::of('inverse.rinse_too_long', mg: round($best, 0)),
            );
        }
        if ($seconds === 0.0) {
            return new InverseAnswer(null, 's', $sodiumAt(0.0), true, Message::of('inverse.rinse_none'));
        }

        return new InverseAnswer(
            $seconds,
            's',
            $sodiumAt($seconds),
            true,
            Message::of('inverse.rinse', time: TargetSodium::time($seconds)),
        );
    }
}
