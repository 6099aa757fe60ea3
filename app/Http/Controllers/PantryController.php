<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CalibrateSpoon;
use App\Actions\SaveFood;
use App\Actions\SavePantryRow;
use App\Actions\SavePerson;
use App\Household\CurrentHousehold;
use App\Http\Requests\FoodRequest;
use App\Http\Requests\HoldDownRequest;
use App\Http\Requests\HouseholdRequest;
use App\Http\Requests\JarRequest;
use App\Http\Requests\PersonRequest;
use App\Http\Requests\SaltRequest;
use App\Http\Responses\KitchenPage;
use App\Http\Responses\PantryPage;
use App\Language\ReaderLanguage;
use App\Models\HoldDown;
use App\Models\Ingredient;
use App\Models\Jar;
use App\Models\Person;
use App\Models\Salt;
use App\Pantry\FoodsCsv;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Search\NameIndex;

/**
 * Changing what a kitchen owns and who eats there. Every change answers with the kitchen as it then is, one of a
 * food with the foods.
 */
final readonly class PantryController
{
    public function __construct(
        private KitchenPage $kitchen,
        private CurrentHousehold $current,
        private SavePantryRow $row,
    ) {}

    public function household(HouseholdRequest $request): JsonResponse
    {
        $this->row->household($this->current->get(), $request->columns(), $request->version());

        return $this->answer();
    }

    public function savePerson(PersonRequest $request, SavePerson $save, ?string $person = null): JsonResponse
    {
        $save(
            $person,
            $request->columns(),
            $request->figures(),
            $request->holdsAlways() ? null : $this->current->get()->today(),
            $request->version(),
        );

        return $this->answer($person === null);
    }

    public function removePerson(string $person): JsonResponse
    {
        Person::query()->findOrFail($person)->remove();

        return $this->answer();
    }

    public function saveSalt(SaltRequest $request, ?string $salt = null): JsonResponse
    {
        $this->row->salt($salt, $request->columns(), $request->version());

        return $this->answer($salt === null);
    }

    public function removeSalt(string $salt): JsonResponse
    {
        Salt::query()->findOrFail($salt)->remove();

        return $this->answer();
    }

    public function calibrate(string $salt, Request $request, CalibrateSpoon $calibrate): JsonResponse
    {
        $request->validate(
            [
                'grams' => ['required', 'numeric', 'min:0.1', 'max:200'],
                'spoon' => ['required', 'string', 'in:tsp,tbsp'],
            ],
            ['grams.*' => 'errors.spoon_grams', 'spoon.*' => 'errors.spoon_unit'],
        );
        $system = $this->current->get()->spoon_system;
        $calibrate($salt, $request->float('grams'), self::spoon($request->string('spoon')->value(), $system));

        return $this->answer();
    }

    public function forgetCalibration(string $salt, CalibrateSpoon $calibrate): JsonResponse
    {
        $calibrate->forget($salt);

        return $this->answer();
    }

    public function saveFood(FoodRequest $request, SaveFood $save, ?string $food = null): JsonResponse
    {
        $save($food, $request->columns(), $request->version());

        return PantryPage::answer($food === null ? 201 : 200);
    }

    public function restoreFood(string $food, SaveFood $save): JsonResponse
    {
        $save->restore($food);

        return PantryPage::answer();
    }

    public function removeFood(string $food): JsonResponse
    {
        Ingredient::query()->where('own', true)->findOrFail($food)->remove();

        return PantryPage::answer();
    }

    public function foods(): JsonResponse
    {
        return PantryPage::answer();
    }

    /** Ids of the foods that were meant, best first. */
    public function searchFoods(Request $request): JsonResponse
    {
        $names = [];
        foreach (Ingredient::query()->get() as $food) {
            $names[$food->id] = [
                ReaderLanguage::say($food->produce()->label()),
                $food->name,
                ...array_filter(explode(', ', $food->also)),
            ];
        }

        return new JsonResponse(['ids' => (new NameIndex($names))->find(mb_substr(self::asked($request), 0, 80), 40)]);
    }

    /** The foods as CSV, for a spreadsheet. */
    public function foodsCsv(): Response
    {
        return new Response(FoodsCsv::of(Ingredient::query()->get()), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="foods.csv"',
        ]);
    }

    public function saveJar(JarRequest $request, ?string $jar = null): JsonResponse
    {
        $this->row->jar($jar, $request->columns(), $request->version());

        return $this->answer($jar === null);
    }

    public function removeJar(string $jar): JsonResponse
    {
        Jar::query()->findOrFail($jar)->remove();

        return $this->answer();
    }

    public function saveHoldDown(HoldDownRequest $request, ?string $holdDown = null): JsonResponse
    {
        $this->row->holdDown($holdDown, $request->columns(), $request->version());

        return $this->answer($holdDown === null);
    }

    public function removeHoldDown(string $holdDown): JsonResponse
    {
        HoldDown::query()->findOrFail($holdDown)->delete();

        return $this->answer();
    }

    /** @throws ValidationException where it is no text */
    private static function asked(Request $request): string
    {
        return $request->validate(['q' => ['nullable', 'string', 'max:500']], ['q.*' => 'errors.search'])['q'] ?? '';
    }

    private static function spoon(string $word, SpoonSystem $system): \Tempesal\Core\Measure\VolumeUnit
    {
        return $word === 'tsp' ? $system->teaspoon() : $system->tablespoon();
    }

    private function answer(bool $isNew = false): JsonResponse
    {
        return $this->kitchen->answer($isNew ? 201 : 200);
    }
}
