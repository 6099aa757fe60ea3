<?php

declare(strict_types=1);

namespace App\Actions;

use App\Climate\RoomClimates;
use App\Household\HouseholdTransaction;
use App\Models\RoomReading;
use DateTimeImmutable;
use Tempesal\Core\Method\Place;

/**
 * Keeps temperatures that were read in a place. A moment has one reading: the one that came last.
 */
final readonly class SaveReadings
{
    private const AT_ONCE = 500;

    public function __construct(
        private HouseholdTransaction $transaction,
        private RoomClimates $climates,
        private RecomputeNoteRipeness $ripen,
    ) {}

    /** @param  list<array{DateTimeImmutable, float}>  $readings  in UTC, degrees Celsius, each moment once */
    public function __invoke(Place $place, array $readings, string $source): void
    {
        ($this->transaction)(function () use ($place, $readings, $source): void {
            foreach (array_chunk($readings, self::AT_ONCE) as $some) {
                $moments = array_map(static fn(array $one): string => $one[0]->format('Y-m-d H:i:s'), $some);
                RoomReading::query()->where('place', $place->value)->whereIn('read_at', $moments)->delete();
                RoomReading::createMany(
                    array_map(
                        static fn(array $one, string $moment): array => [
                            'place' => $place,
                            'read_at' => $moment,
                            'celsius' => $one[1],
                            'source' => $source,
                        ],
                        $some,
                        $moments,
                    ),
                );
            }
            $this->climates->forget();
            ($this->ripen)();
        });
    }
}
