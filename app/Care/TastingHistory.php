<?php

declare(strict_types=1);

namespace App\Care;

use App\Household\CurrentHousehold;
use App\Models\Note;
use Tempesal\Core\Ferment\PreferredRipeness;
use Tempesal\Core\Ferment\Ripening;
use Tempesal\Core\Measure\Celsius;

/**
 * When the kitchen liked batches of one kind best, from all its tastings. They are read once for each change.
 */
final class TastingHistory
{
    /**
     * @var array<string, array<string, list<array{float, int}>>> by household and likeness: ripened seconds, liked 1 to
     *     5
     */
    private array $tastings = [];

    public function __construct(private readonly CurrentHousehold $current) {}

    public function forget(): void
    {
        $this->tastings = [];
    }

    /** Days at a temperature; null while too little was tasted. */
    public function daysOf(string $likeness, Celsius $temperature): ?float
    {
        $tastings = ($this->tastings[$this->current->id()] ??= self::read())[$likeness] ?? [];
        $best = PreferredRipeness::best($tastings);

        return $best === null ? null : $best / 86_400.0 / Ripening::factor($temperature);
    }

    /** @return array<string, list<array{float, int}>> */
    private static function read(): array
    {
        $tastings = [];
        foreach (Note::query()->with('batch:id,household_id,likeness')->whereNotNull('marks->liked')->get() as $note) {
            if ($note->batch->likeness !== '') {
                $tastings[$note->batch->likeness][] = [$note->ripened_s, $note->marks['liked']];
            }
        }

        return $tastings;
    }
}
