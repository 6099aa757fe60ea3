<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Household\CurrentHousehold;
use App\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\Way;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\KitchenAmount;

/**
 * A portion: what of it, how, on which day, and how much as it is typed, in grams and spoons, or in forks, of which one is what that person usually takes.
 */
trait ReadsPortion
{
    /** @throws ValidationException at the path of the field */
    private static function portion(string $typed, string $personId, string $path): Grams
    {
        try {
            $grams = preg_match('/^\s*(.+?)\s*fork(?:s|fuls?)?\s*$/i', $typed, $forks) === 1
                ? Grams::of(KitchenAmount::parse("{$forks[1]} g")->grams()->value * Person::query()->findOrFail($personId)->usual_serving_g)
                : KitchenAmount::parse($typed)->grams();
        } catch (InvalidQuantity $refusal) {
            throw ValidationException::withMessages([$path => $refusal->getMessage()]);
        }

        return $grams->isZero() ? throw ValidationException::withMessages([$path => 'More than nothing is needed here.']) : $grams;
    }

    public function phase(): ?Phase
    {
        return $this->enum('phase', Phase::class);
    }

    public function way(): Way
    {
        return $this->enum('way', Way::class) ?? Way::Drained;
    }

    /** The day the cook means: the one named, or today in the household's own calendar. */
    public function eatenOn(): string
    {
        $named = $this->string('eatenOn')->value();

        return $named === '' ? app(CurrentHousehold::class)->get()->today() : CarbonImmutable::parse($named)->toDateString();
    }
}
