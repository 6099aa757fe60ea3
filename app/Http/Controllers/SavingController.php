<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\StartFromFormula;
use App\Care\BatchStatus;
use App\Household\CurrentHousehold;
use App\Intake\Intakes;
use App\Intake\OtherJars;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Formula;
use App\Models\Person;
use App\Support\InvalidInput;
use App\Views\WireNumbers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Intake\RemedyKind;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Intake\SodiumSaving;
use Tempesal\Core\Intake\SodiumSavings;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;

/**
 * What would make a serving hold less sodium.
 */
final readonly class SavingController
{
    private const RULES = ['mg' => ['nullable', 'numeric', 'gt:0', 'max:10000']];

    private const MESSAGES = ['mg.*' => 'errors.saving_range'];

    public function __construct(private CurrentHousehold $current) {}

    /** Of someone's usual portion, or another; wanted is what is left of their day unless "mg" says otherwise. */
    public function ofBatch(string $batch, Request $request): JsonResponse
    {
        $row = Batch::whole()->findOrFail($batch);
        $asked = $request->validate(
            [
                ...self::RULES,
                'personId' => ['required', 'string', 'max:26'],
                'grams' => ['nullable', 'numeric', 'gt:0', 'max:5000'],
                'way' => ['nullable', 'string', Rule::enum(ServingStyle::class)],
                'phase' => ['nullable', 'string', Rule::enum(Served::class)],
            ],
            [
                ...self::MESSAGES,
                'personId.*' => 'errors.which_person',
                'grams.*' => 'errors.portion_range',
                'way.*' => 'errors.serving_style',
                'phase.*' => 'errors.phase',
            ],
        );
        $person = Person::query()->findOrFail((string) $asked['personId']);
        $state = Ledgers::of($row)->state();
        $served = isset($asked['phase']) ? Served::from($asked['phase']) : BatchStatus::served($row, $state);
        $grams = (float) ($asked['grams'] ?? $row->usualPortion($person, $served));
        if ($served->in($state)->weightG() < $grams) {
            throw InvalidInput::at(
                'grams',
                Message::of('errors.grams_left', grams: (int) floor(max(0.0, $served->in($state)->weightG()))),
            );
        }
        $serving = ServingStyle::from($asked['way'] ?? ServingStyle::Drained->value)->plate($served, Grams::of($grams));
        $now = $serving->sodiumMg($state, Point::typical());
        $today = $this->current->get()->today();
        $day = Intakes::of($person, $today, $today)?->days[0];
        $margin = $day === null ? 0.0 : $day->targetMg - $day->totalMg();

        return $this->answer(
            $now,
            $grams,
            isset($asked['mg']) ? (float) $asked['mg'] : ($margin > 0.0 && $now > $margin ? $margin : null),
            fn(?float $wanted): array => SodiumSavings::of(
                $state,
                $serving,
                $wanted,
                OtherJars::of($row, $person, $now, $this->current->get()),
            ),
        );
    }

    /** Of a formula's serving, wanted to be low in sodium unless "mg" says otherwise. */
    public function ofFormula(string $formula, Request $request): JsonResponse
    {
        $row = Formula::query()->with('newest')->findOrFail($formula);
        $asked = $request->validate(self::RULES, self::MESSAGES);
        $answer = FormulaAnswer::of(StartFromFormula::read($row->newest));

        $lighter = $answer->atFloor();
        $others =
            $lighter === null
                ? []
                : [
                    [
                        'remedy' => RemedyKind::AtFloor,
                        'text' => RemedyKind::atFloor($lighter->strength() ?? 0.0, $answer->strength() ?? 0.0),
                        'milligrams' => $lighter->typicalServingMg(),
                    ],
                ];

        return $this->answer(
            $answer->typicalServingMg(),
            $answer->plate()->grams->value,
            (float) ($asked['mg'] ?? SodiumSavings::LOW_SODIUM_MG),
            static fn(?float $wanted): array => SodiumSavings::of($answer->state, $answer->plate(), $wanted, $others),
        );
    }

    /** @param  callable(float|null): list<SodiumSaving>  $savings */
    private function answer(float $now, float $grams, ?float $wanted, callable $savings): JsonResponse
    {
        return new JsonResponse([
            'grams' => $grams,
            'sodium' => WireNumbers::sodium(Band::exact($now)),
            'wantedMg' => $wanted,
            'savings' =>
                $wanted !== null && $now <= $wanted
                    ? []
                    : array_map(static fn(SodiumSaving $one): array => $one->toArray(), $savings($wanted)),
        ]);
    }
}
