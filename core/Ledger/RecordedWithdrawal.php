<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Measure\Composition;

/**
 * What left a jar when an entry was written. It stays what it was, even when an earlier mistake is taken back later:
 * a plate keeps its sodium, another jar keeps its starter.
 */
final readonly class RecordedWithdrawal
{
    /** @param  array<string, Composition>  $masses  by the value of Phase */
    private function __construct(private array $masses) {}

    /** @param  list<array{Phase, float}>  $parts  grams of each phase that leave now */
    public static function of(BatchState $state, array $parts): self
    {
        $masses = [];
        foreach ($parts as [$phase, $grams]) {
            $masses[$phase->value] = $state->portion($phase, $grams, Point::typical());
        }

        return new self($masses);
    }

    /**
     * By how much the booking differs from what would leave the typical batch now; nothing where nothing was booked.
     *
     * @param  list<array{Phase, float}>  $parts
     * @return array<string, Composition> by the value of Phase
     *
     * @throws NotEnough when the batch cannot have held what was booked
     */
    public static function differences(?self $booking, BatchState $before, array $parts): array
    {
        $differences = [];
        foreach ($booking === null ? [] : $parts as [$phase, $grams]) {
            $booked = $booking->masses[$phase->value] ?? null;
            if ($booked === null) {
                continue;
            }
            $there = $before->phase($phase);
            $slack = 1e-9 * (1.0 + $there->weightG());
            if (
                $booked->waterG > $there->waterG + $slack ||
                $booked->otherG > $there->otherG + $slack ||
                $booked->sodiumMg > $there->sodiumMg + 1e3 * $slack
            ) {
                throw NotEnough::afterTheFact($phase);
            }
            $differences[$phase->value] = $booked->minus(
                $before->portion($phase, min($grams, $there->weightG()), Point::typical()),
            );
        }

        return $differences;
    }

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        $masses = [];
        foreach (Phase::cases() as $phase) {
            if ($fields->has($phase->value)) {
                $part = $fields->child($phase->value);
                $masses[$phase->value] = new Composition(
                    $part->number('waterG'),
                    $part->number('sodiumMg'),
                    $part->number('otherG'),
                );
            }
        }

        return new self($masses);
    }

    /** @return array<string, array<string, float>> */
    public function toArray(): array
    {
        return array_map(static fn(Composition $masses): array => $masses->toArray(), $this->masses);
    }
}
