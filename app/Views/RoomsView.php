<?php

declare(strict_types=1);

namespace App\Views;

use App\Care\BatchStatus;
use App\Climate\RoomClimates;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Room;
use App\Models\RoomReading;
use App\Models\RoomSpell;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Advice\TemperatureAdvice;
use Tempesal\Core\Ferment\Climate;
use Tempesal\Core\Method\Place;

/**
 * How warm the kitchen's places were and are taken to become, and which jars that moves.
 */
final readonly class RoomsView
{
    private const PAST_DAYS = 14;

    private const AHEAD_DAYS = 10;

    /** Hours between the points of the course. */
    private const STEP_HOURS = 6;

    public function __construct(private RoomClimates $climates) {}

    /**
     * @param  Collection<int, Batch>  $batches  whole, on the shelf
     * @return array<string, mixed>
     */
    public function of(Household $household, Collection $batches): array
    {
        return [
            'firm' => ['from' => TemperatureAdvice::COLD_CELSIUS, 'to' => TemperatureAdvice::WARM_CELSIUS],
            'rooms' => array_map(
                fn(Place $place): array => $this->room(
                    $place,
                    $household,
                    $batches->filter(static fn(Batch $batch): bool => $batch->place === $place),
                ),
                Place::cases(),
            ),
        ];
    }

    /**
     * @param  Collection<int, Batch>  $batches
     * @return array<string, mixed>
     */
    private function room(Place $place, Household $household, Collection $batches): array
    {
        $now = CarbonImmutable::now();
        $room = Room::at($place);
        $since = CarbonImmutable::createFromTimestampUTC(
            floor($now->subDays(self::PAST_DAYS)->getTimestamp() / Climate::QUARTER_S) * Climate::QUARTER_S,
        );
        $history = $this->climates->from($place, $since);
        $at = static fn(CarbonImmutable $moment): float => $history->at((float) $since->diffInSeconds($moment))->value;
        $course = [];
        // Each quarter of a day at its middle.
        for (
            $moment = $since->addHours(self::STEP_HOURS / 2);
            $moment->lessThan($now->addDays(self::AHEAD_DAYS));
            $moment = $moment->addHours(self::STEP_HOURS)
        ) {
            $course[] = ['at' => $moment->utc()->toIso8601String(), 'celsius' => $at($moment)];
        }
        $readings = RoomReading::query()
            ->where('place', $place->value)
            ->where('read_at', '>=', $since)
            ->orderBy('read_at')
            ->orderBy('id')
            ->get();

        return [
            'place' => $place->value,
            'version' => $room->version,
            'name' => $place->name(),
            'label' => $place->label(),
            'usualCelsius' => $room->usual_celsius,
            'swingCelsius' => $room->swing_celsius,
            'warmestHour' => $room->warmest_hour,
            'nowCelsius' => $at($now),
            'now' => $now->utc()->toIso8601String(),
            'course' => $course,
            'readings' => $readings
                ->map(
                    static fn(RoomReading $reading): array => [
                        'at' => $reading->read_at->utc()->toIso8601String(),
                        'celsius' => $reading->celsius,
                    ],
                )
                ->values()
                ->all(),
            'readingsInAll' => RoomReading::query()->where('place', $place->value)->count(),
            'spells' => RoomSpell::query()
                ->where('place', $place->value)
                ->where('to_on', '>=', $household->dateOf($since))
                ->orderBy('from_on')
                ->orderBy('id')
                ->get()
                ->map(
                    static fn(RoomSpell $spell): array => [
                        'id' => $spell->id,
                        'fromOn' => $spell->from_on,
                        'toOn' => $spell->to_on,
                        'celsius' => $spell->celsius,
                    ],
                )
                ->values()
                ->all(),
            'jars' => $batches
                ->map(static function (Batch $batch) use ($household): array {
                    $status = BatchStatus::of($batch, Ledgers::of($batch), $household);

                    return [
                        'id' => $batch->id,
                        'name' => $batch->name,
                        'colour' => $batch->colour,
                        'readyOn' => $status->on($status->forecast?->ready),
                    ];
                })
                ->values()
                ->all(),
        ];
    }
}
