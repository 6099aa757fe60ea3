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

        return TargetSodium::inTime(
            $sodiumAt,
            $this->sodiumMg,
            self::LONGEST_S,
            Message::of('inverse.rinse_none'),
            static fn(float $seconds): Message => Message::of('inverse.rinse', time: TargetSodium::time($seconds)),
            static fn(float $best): Message => Message::of('inverse.rinse_too_long', mg: round($best, 0)),
        );
    }
}
