<?php

declare(strict_types=1);

namespace App\Climate;

use App\Household\CurrentHousehold;
use App\Models\Room;
use App\Models\RoomSpell;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Tempesal\Core\Ferment\Climate;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Uptake\TemperatureHistory;

/**
 * How warm the kitchen's places were, are and will be, as far as it is known. Rows are read once for each change.
 */
final class RoomClimates
{
    /** Readings are of use for as long as a jar stands. */
    private const YEARS = 3;

    /** @var array<string, Climate> by household, place and the quarter of the day in which it is asked */
    private array $known = [];

    /** @var array<string, TemperatureHistory> the same from a moment on */
    private array $histories = [];

    private int $changes = 0;

    public function __construct(private readonly CurrentHousehold $current) {}

    /** A word that changes whenever anything known of the places does. */
    public function edition(): string
    {
        $quarter = intdiv(CarbonImmutable::now()->getTimestamp(), (int) Climate::QUARTER_S);

        return "{$this->current->id()} {$this->changes} {$quarter}";
    }

    public function forget(): void
    {
        $this->changes++;
        $this->known = $this->histories = [];
    }

    /** The temperatures in a place from a moment on. */
    public function from(Place $place, CarbonImmutable $moment): TemperatureHistory
    {
        $key = "{$this->key($place)} {$moment->getTimestamp()}";

        return $this->histories[$key] ??= $this->of($place)->from((float) $moment->getTimestamp());
    }

    public function of(Place $place): Climate
    {
        return $this->known[$this->key($place)] ??= $this->read($place);
    }

    private function key(Place $place): string
    {
        return "{$this->edition()} {$place->value}";
    }

    private function read(Place $place): Climate
    {
        $zone = $this->current->get()->time_zone;
        $now = CarbonImmutable::now();
        $room = Room::at($place);

        return new Climate(
            Celsius::of($room->usual_celsius),
            $room->swing_celsius,
            (float) $now->setTimezone($zone)->setTime($room->warmest_hour, 0)->getTimestamp(),
            $this->readings($place, $now),
            array_values(
                RoomSpell::query()
                    ->where('place', $place->value)
                    ->orderByDesc('id')
                    ->get()
                    ->map(
                        static fn(RoomSpell $spell): array => [
                            (float) CarbonImmutable::parse($spell->from_on, $zone)->getTimestamp(),
                            (float) CarbonImmutable::parse($spell->to_on, $zone)->addDay()->getTimestamp(),
                            $spell->celsius,
                        ],
                    )
                    ->all(),
            ),
            (float) $now->getTimestamp(),
        );
    }

    /**
     * The mean of each quarter of a day in which something was read: a logger may read every minute, for years.
     *
     * @return list<array{float, float}> moment and degrees, ascending
     */
    private function readings(Place $place, CarbonImmutable $now): array
    {
        $seconds = "timestampdiff(second, '1970-01-01', read_at)";

        return array_values(
            DB::table('room_readings')
                ->where('household_id', $this->current->id())
                ->where('place', $place->value)
                ->whereBetween('read_at', [$now->subYears(self::YEARS), $now])
                ->selectRaw("avg({$seconds}) as moment, avg(celsius) as celsius")
                ->groupByRaw("floor({$seconds} / ?)", [Climate::QUARTER_S])
                ->orderBy('moment')
                ->get()
                ->map(static fn(object $row): array => [(float) $row->moment, (float) $row->celsius])
                ->all(),
        );
    }
}
