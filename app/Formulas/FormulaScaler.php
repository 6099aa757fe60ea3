<?php

declare(strict_types=1);

namespace App\Formulas;

use App\Models\Ingredient;
use App\Models\Jar;
use App\Pantry\FoodMeasures;
use App\Pantry\KitchenAmounts;
use App\Support\InvalidInput;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Formula\Formula;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Produce\PieceShape;

/**
 * Fits a formula to what the cook has: a jar, a weight of vegetable, a number of servings, or a sodium for each
 * serving.
 */
final readonly class FormulaScaler
{
    /** Nobody makes more than this many times a formula, or less. */
    private const BETWEEN = [0.02, 50.0];

    public function __construct(private KitchenAmounts $amounts) {}

    /** @return array<string, mixed> */
    public static function rules(): array
    {
        return [
            'by' => ['nullable', 'string', 'in:as_written,jar,vegetable,servings,sodium'],
            'jarId' => ['nullable', 'required_if:by,jar', 'string', 'max:26'],
            'amount' => ['nullable', 'required_if:by,vegetable', 'string', 'max:60'],
            'servings' => ['nullable', 'required_if:by,servings', 'numeric', 'min:1', 'max:2000'],
            'sodiumMg' => ['nullable', 'required_if:by,sodium', 'numeric', 'min:1', 'max:20000'],
        ];
    }

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'by.*' => 'errors.scale_by',
            'jarId.*' => 'errors.choose_jar',
            'amount.*' => 'errors.vegetable_amount',
            'servings.*' => 'errors.servings_range',
            'sodiumMg.*' => 'errors.serving_sodium_range',
        ];
    }

    /**
     * The formula scaled as the request asks, and the factor.
     *
     * @return array{Formula, float}
     *
     * @throws ValidationException
     */
    public function apply(Formula $formula, Request $request): array
    {
        $by = $request->string('by')->value();
        if ($by === 'sodium') {
            return [$formula->serving(FormulaAnswer::of($formula)->servingFor($request->float('sodiumMg'))), 1.0];
        }
        $factor = match ($by) {
            'jar' => $this->byJar($formula, $request->string('jarId')->value()),
            'vegetable' => FormulaAnswer::of($formula)->factorForVegetable(
                $this->grams($request->string('amount')->value(), $formula),
            ),
            'servings' => FormulaAnswer::of($formula)->factorForServings($request->float('servings')),
            default => 1.0,
        };
        [$least, $most] = self::BETWEEN;
        if ($factor < $least || $factor > $most) {
            throw InvalidInput::at('by', Message::of('errors.scale_range', factor: round($factor, 3)));
        }

        return [$factor === 1.0 ? $formula : $formula->scaled($factor), $factor];
    }

    private function byJar(Formula $formula, string $jarId): float
    {
        $jar = Jar::query()->find($jarId) ?? throw ValidationException::withMessages(['jarId' => 'errors.no_such_jar']);

        return FormulaAnswer::of($formula)->factorForJar($jar->geometry());
    }

    private function grams(string $typed, Formula $formula): Grams
    {
        $known = Ingredient::query()->where('key', $formula->mainFood())->first();

        return $this->amounts->grams(
            $typed,
            $known === null ? FoodMeasures::ofProduct('', 1.0, PieceShape::Chunks) : FoodMeasures::ofFood($known),
            'amount',
        );
    }
}
