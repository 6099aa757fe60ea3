<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CalibrateSpoon;
use App\Actions\SaveFood;
use App\Actions\SavePerson;
use App\Household\CurrentHousehold;
use App\Http\Requests\FoodRequest;
use App\Http\Requests\HouseholdRequest;
use App\Http\Requests\JarRequest;
use App\Http\Requests\PersonRequest;
use App\Http\Requests\SaltRequest;
use App\Models\HoldDown;
use App\Models\Ingredient;
use App\Models\Jar;
use App\Models\Person;
use App\Models\Salt;
use App\Pantry\FoodsCsv;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Search\NameIndex;

/**
 * Changing what a kitchen owns and who eats there. Every change answers with the kitchen as it then is.
 */
final readonly class PantryController
{
    public function __construct(private KitchenController $kitchen, private CurrentHousehold $current)
    {
    }

    public function household(HouseholdRequest $request): JsonResponse
    {
        $this->current->get()->update($request->columns());

        return $this->answer();
    }

    public function savePerson(PersonRequest $request, SavePerson $save, ?string $person = null): JsonResponse
    {
        $save($person, $request->columns(), $request->figures(), $request->holdsAlways() ? null : $this->current->get()->today());

        return $this->answer($person === null);
    }

    public function removePerson(string $person): JsonResponse
    {
        Person::query()->findOrFail($person)->remove();

        return $this->answer();
    }

    public function saveSalt(SaltRequest $request, ?string $salt = null): JsonResponse
    {
        if ($salt === null) {
            Salt::create([...$request->columns(), 'key' => 'own-'.Str::lower((string) Str::ulid()), 'position' => 1 + (int) Salt::query()->get()->max('position')]);
        } else {
            Salt::query()->where('own', true)->findOrFail($salt)->update($request->columns());
        }

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
            ['grams' => ['required', 'numeric', 'min:0.1', 'max:200'], 'spoon' => ['required', 'string', 'in:tsp,tbsp']],
            ['grams.*' => 'Say what the levelled spoon of salt weighs, in grams.', 'spoon.*' => 'Say which spoon: tsp or tbsp.'],
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
        $save($food, $request->columns(), $request->source());

        return $this->answer($food === null);
    }

    public function restoreFood(string $food, SaveFood $save): JsonResponse
    {
        $save->restore($food);

        return $this->answer();
    }

    public function removeFood(string $food): JsonResponse
    {
        Ingredient::query()->where('own', true)->findOrFail($food)->remove();

        return $this->answer();
    }

    /** Ids of the foods that were meant, best first. */
    public function searchFoods(Request $request): JsonResponse
    {
        $names = [];
        foreach (Ingredient::query()->get() as $food) {
            $names[$food->id] = [$food->name, ...array_filter(explode(', ', $food->also))];
        }

        return new JsonResponse(['ids' => (new NameIndex($names))->find(mb_substr($request->string('q')->value(), 0, 80), 40)]);
    }

    /** The foods as CSV, for a spreadsheet. */
    public function foodsCsv(): Response
    {
        return new Response(FoodsCsv::of(Ingredient::query()->get()), 200, [
            'Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="foods.csv"',
        ]);
    }

    public function saveJar(JarRequest $request, ?string $jar = null): JsonResponse
    {
        if ($jar === null) {
            Jar::create([...$request->columns(), 'position' => 1 + (int) Jar::query()->get()->max('position')]);
        } else {
            Jar::query()->findOrFail($jar)->update($request->columns());
        }

        return $this->answer($jar === null);
    }

    public function removeJar(string $jar): JsonResponse
    {
        Jar::query()->findOrFail($jar)->remove();

        return $this->answer();
    }

    public function saveHoldDown(Request $request, ?string $holdDown = null): JsonResponse
    {
        $request->validate([
            'name' => ['required', 'string', 'max:80'], 'volumeMl' => ['required', 'numeric', 'min:0', 'max:5000'], 'howMany' => ['required', 'integer', 'min:0', 'max:200'],
        ], ['name.*' => 'Give it a name.', 'volumeMl.*' => 'A weight takes between 0 and 5000 ml.', 'howMany.*' => 'Between 0 and 200 of them.']);
        $columns = ['name' => $request->string('name')->trim()->value(), 'volume_ml' => $request->float('volumeMl'), 'how_many' => $request->integer('howMany')];
        $holdDown === null ? HoldDown::create($columns) : HoldDown::query()->findOrFail($holdDown)->update($columns);

        return $this->answer($holdDown === null);
    }

    public function removeHoldDown(string $holdDown): JsonResponse
    {
        HoldDown::query()->findOrFail($holdDown)->delete();

        return $this->answer();
    }

    private static function spoon(string $word, SpoonSystem $system): \Tempesal\Core\Measure\VolumeUnit
    {
        return $word === 'tsp' ? $system->teaspoon() : $system->tablespoon();
    }

    private function answer(bool $isNew = false): JsonResponse
    {
        return $this->kitchen->show($this->current)->setStatusCode($isNew ? 201 : 200);
    }
}
