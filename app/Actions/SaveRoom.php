<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\HouseholdTransaction;
use App\Models\Room;
use App\Models\RoomSpell;
use Tempesal\Core\Method\Place;

/**
 * Says how warm a place usually is, or for some days is expected to be.
 */
final readonly class SaveRoom
{
    public function __construct(private HouseholdTransaction $transaction, private RecomputeNoteRipeness $ripen) {}

    /**
     * @param  int  $warmestHour  by the kitchen clock
     * @param  int|null  $version  that the cook had open, 0 for a place of which nothing was said; null: whatever it is
     */
    public function usually(Place $place, float $celsius, float $swing, int $warmestHour, ?int $version = null): void
    {
        ($this->transaction)(function () use ($place, $celsius, $swing, $warmestHour, $version): void {
            Room::at($place)->refuseUnless($version);
            Room::query()->updateOrCreate(
                ['place' => $place->value],
                ['usual_celsius' => $celsius, 'swing_celsius' => $swing, 'warmest_hour' => $warmestHour],
            );
            ($this->ripen)();
        });
    }

    /** From one day to another, both as YYYY-MM-DD and both included. */
    public function expect(Place $place, string $fromOn, string $toOn, float $celsius): void
    {
        ($this->transaction)(function () use ($place, $fromOn, $toOn, $celsius): void {
            RoomSpell::create(['place' => $place, 'from_on' => $fromOn, 'to_on' => $toOn, 'celsius' => $celsius]);
            ($this->ripen)();
        });
    }

    public function forget(Place $place, string $spellId): void
    {
        ($this->transaction)(function () use ($place, $spellId): void {
            RoomSpell::query()->where('place', $place->value)->findOrFail($spellId)->delete();
            ($this->ripen)();
        });
    }
}
