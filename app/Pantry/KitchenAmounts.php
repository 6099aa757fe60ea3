<?php

declare(strict_types=1);

namespace App\Pantry;

use App\Household\CurrentHousehold;
use App\Models\Ingredient;
use App\Models\Salt;
use App\Support\InvalidInput;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Amount\AmountReader;
use Tempesal\Core\Amount\AmountReading;
use Tempesal\Core\Amount\FieldKind;
use Tempesal\Core\Amount\FoodShelf;
use Tempesal\Core\Amount\MeasuredFood;
use Tempesal\Core\Amount\ReadingKind;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Message\Message;

/**
 * Reads what is typed in the fields of the current kitchen: with its spoons, its foods and what it has weighed.
 */
final class KitchenAmounts
{
    private ?AmountReader $reader = null;

    public function __construct(private readonly CurrentHousehold $current) {}

    /**
     * Any phrase, as the field asks for it.
     *
     * @throws InvalidQuantity where it cannot be read, or can be read in several ways
     */
    public function read(string $typed, ?MeasuredFood $food = null, ?FieldKind $kind = FieldKind::Amount): AmountReading
    {
        $this->reader ??= new AmountReader(
            new FoodShelf(static fn(): array => FoodMeasures::allOfKitchen()),
            $this->current->get()->units(),
        );

        return $this->reader->read($typed, $food, $kind);
    }

    /**
     * An amount of a food as a weight, more than nothing.
     *
     * @throws InvalidQuantity
     */
    public function weight(string $typed, MeasuredFood $food): Band
    {
        $band = $this->orNothing($typed, $food);

        return $band->typical > 0.0 ? $band : throw new InvalidQuantity(Message::of('errors.more_than_zero'));
    }

    /**
     * An amount of a food as a weight.
     *
     * @throws InvalidQuantity
     */
    public function orNothing(string $typed, MeasuredFood $food): Band
    {
        $read = $this->read($typed, $food);

        return $read->unit === 'g'
            ? $read->band
            : throw new InvalidQuantity(Message::of('errors.amount_is_share', said: $read->said));
    }

    /**
     * A strength in per cent, with what it is a share of where that was said.
     *
     * @return array{float, string|null}
     *
     * @throws InvalidQuantity
     */
    public function strength(string $typed, ?Salt $salt): array
    {
        $read = $this->read($typed, $salt === null ? null : FoodMeasures::ofSalt($salt), FieldKind::Strength);

        return [$read->band->typical, $read->kind === ReadingKind::Ratio ? $read->basis : null];
    }

    /**
     * Grams of a portion or a package, typed into one field of a request.
     *
     * @throws ValidationException at the path of the field
     */
    public function grams(string $typed, MeasuredFood $food, string $path): Grams
    {
        try {
            return Grams::of($this->weight($typed, $food)->typical);
        } catch (InvalidQuantity $refusal) {
            throw InvalidInput::at($path, $refusal->explanation());
        }
    }

    public function food(?string $foodId, ?string $saltId): ?MeasuredFood
    {
        $salt = $saltId === null ? null : Salt::query()->find($saltId);
        $food = $foodId === null ? null : Ingredient::query()->find($foodId);

        return $salt !== null ? FoodMeasures::ofSalt($salt) : ($food === null ? null : FoodMeasures::ofFood($food));
    }
}
