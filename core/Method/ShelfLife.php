<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Message\Message;

/**
 * How long a jar keeps in the fridge, by its method, by what is in it, and by what its formula says: the strictest of
 * them. Common practice, no source; egg and low-acid plants in oil as public food-safety advice has it, from memory.
 */
final readonly class ShelfLife
{
    /** Home-made egg mayonnaise. */
    private const EGG_DAYS = 4;

    private const PLANTS_IN_OIL_DAYS = 4;

    /** Cultured milk: yogurt keeps one to two weeks (USDA FoodKeeper, from memory). */
    private const MILK_DAYS = 14;

    /**
     * Egg out of the fridge: two hours are the public line, ten the longest that a cook who cultures it lets it stand.
     */
    public const EGG_WARM_HOURS = 2.0;

    public const EGG_LONGEST_WARM_HOURS = 10.0;

    /** The shortest that such a cook lets it stand. */
    public const EGG_FIRST_WARM_HOURS = 6.0;

    /**
     * @param  int  $days  whole days in the fridge
     * @param  bool  $isStrict  whether it is thrown out then, counted from the day on which it was made, wherever it
     *     stood
     */
    private function __construct(public int $days, public bool $isStrict, private Message $why) {}

    /** @param  float|null  $formulaDays  what its formula says */
    public static function of(Method $method, Hazards $hazards, ?float $formulaDays = null): self
    {
        $storage = $method->profile()->storage;
        $limits = [
            [$storage->fridgeDays, $method->label()],
            ...$hazards->hasEgg ? [[self::EGG_DAYS, Message::of('shelf_life_why.egg')]] : [],
            ...$hazards->hasPlantsInOil
                ? [[self::PLANTS_IN_OIL_DAYS, Message::of('shelf_life_why.plants_in_oil')]]
                : [],
            ...$hazards->isMilk && $method === Method::MilkAndSweet
                ? [[self::MILK_DAYS, Message::of('shelf_life_why.milk')]]
                : [],
            ...$formulaDays === null
                ? []
                : [[(int) max(1.0, floor($formulaDays)), Message::of('shelf_life_why.formula')]],
        ];
        usort($limits, static fn(array $one, array $other): int => $one[0] <=> $other[0]);

        return new self(
            $limits[0][0],
            $storage->isStrict || $hazards->hasEgg || $hazards->hasPlantsInOil,
            $limits[0][1],
        );
    }

    /** "Keeps 4 days in the fridge (raw egg)." */
    public function text(): Message
    {
        return Message::of('shelf_life.fridge', days: $this->days, why: $this->why);
    }

    /**
     * Whole days out of the fridge, in a place: none for what must be kept cold; null for what ferments there and is
     * judged by its window.
     */
    public function daysAt(Place $place): ?int
    {
        return match (true) {
            $place === Place::Fridge => $this->days,
            $this->isStrict => 0,
            default => null,
        };
    }
}
