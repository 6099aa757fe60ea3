<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Ferment\Ripening;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Salt\SaltBasis;

/**
 * All that is usual, least or allowed for a method, once: everything else asks here.
 *
 * Strengths, times, headspaces, draws and portions are common practice, no source, but for kraut: published recipes
 * come to about 2.4 % of the vegetable, and 3 to 4 weeks at 70-75 °F are those of Ripening
 * (USDA Complete Guide to Home Canning, National Center for Home Food Preservation; from memory).
 */
final class MethodProfile
{
    /** A jar in which food stands packed and rises: 2 in. */
    private const PACKED_HEADSPACE_MM = 50.0;

    /** Pieces under a brine: 3/4 in. */
    private const BRINED_HEADSPACE_MM = 20.0;

    /** A mash heaves: 1 1/2 in. */
    private const MASH_HEADSPACE_MM = 38.0;

    private const SAUCE_HEADSPACE_MM = 25.0;

    /** A closed kombucha in the fridge; milk has fewer days (ShelfLife). */
    private const SWEET_DAYS = 90;

    /** For which brine serves as a starter in the fridge: from memory. */
    private const SPARE_BRINE_DAYS = 30;

    /** @var array<string, self> */
    private static array $known = [];

    private function __construct(
        public readonly Salting $salting,
        public readonly Preparation $preparation,
        public readonly EdiblePart $eaten,
        public readonly Storage $storage,
    ) {}

    public static function of(Method $method): self
    {
        return self::$known[$method->value] ??= match ($method) {
            Method::DrySalting => self::drySalting(),
            Method::PouredBrine => self::pouredBrine(),
            Method::EquilibriumBrine => self::equilibriumBrine(),
            Method::Mash => self::mash(),
            Method::KimchiDrySalted => self::kimchiDrySalted(),
            Method::KimchiSoaked => self::kimchiSoaked(),
            Method::SaltAndDrain => self::saltAndDrain(),
            Method::QuickSaltPickle => self::quickSaltPickle(),
            Method::CulturedCondiment => self::culturedCondiment(),
            Method::MilkAndSweet => self::milkAndSweet(),
            Method::ReusedBrine => self::reusedBrine(),
            Method::Transform => self::transform(),
            Method::Bought => self::bought(),
            Method::SpareBrine => self::spareBrine(),
        };
    }

    private static function drySalting(): self
    {
        return new self(
            Salting::of(SaltBasis::OfVegetable, usual: 0.0225, least: 0.02)->mindingFoods(),
            new Preparation(draw: Band::of(0.1, 0.2, 0.3), takesStarter: true),
            EdiblePart::pieces(self::window(7.0, 21.0, 42.0)),
            Storage::vegetables(self::PACKED_HEADSPACE_MM),
        );
    }

    private static function pouredBrine(): self
    {
        return new self(
            Salting::of(SaltBasis::OfWater, usual: 0.03, least: 0.02)
                ->mindingFoods()
                ->leastOfEverything(SaltFloor::FERMENTING),
            new Preparation(draw: Preparation::brineDraw(), takesStarter: true),
            EdiblePart::pieces(self::window(4.0, 9.0, 28.0)),
            Storage::vegetables(self::BRINED_HEADSPACE_MM),
        );
    }

    private static function equilibriumBrine(): self
    {
        return new self(
            Salting::of(SaltBasis::OfEverything, usual: 0.025, least: SaltFloor::FERMENTING)->mindingFoods(),
            new Preparation(draw: Preparation::brineDraw(), takesStarter: true),
            EdiblePart::pieces(self::window(4.0, 9.0, 28.0)),
            Storage::vegetables(self::BRINED_HEADSPACE_MM),
        );
    }

    private static function mash(): self
    {
        return new self(
            Salting::of(SaltBasis::OfVegetable, usual: 0.03, least: 0.02)->mindingFoods(),
            new Preparation(takesStarter: true),
            EdiblePart::sauce(self::window(7.0, 21.0, 90.0)),
            Storage::vegetables(self::MASH_HEADSPACE_MM),
        );
    }

    private static function kimchiDrySalted(): self
    {
        return new self(
            Salting::of(SaltBasis::OfVegetable, usual: 0.03, least: 0.015)
                ->mindingFoods()
                ->leastAtTheEnd(SaltFloor::FERMENTING),
            new Preparation(Seconds::ofHours(1.0), Seconds::of(Preparation::RINSED_S), Band::of(0.1, 0.15, 0.25)),
            EdiblePart::dressed(self::window(2.0, 5.0, 30.0)),
            Storage::vegetables(self::PACKED_HEADSPACE_MM),
        );
    }

    private static function kimchiSoaked(): self
    {
        return new self(
            Salting::of(SaltBasis::OfWater, usual: 0.065, least: 0.05)
                ->mindingFoods()
                ->leastAtTheEnd(SaltFloor::FERMENTING),
            new Preparation(Seconds::ofHours(18.0), Seconds::of(Preparation::RINSED_S), Band::of(0.1, 0.15, 0.25)),
            EdiblePart::dressed(self::window(2.0, 5.0, 30.0)),
            Storage::vegetables(self::PACKED_HEADSPACE_MM),
        );
    }

    private static function saltAndDrain(): self
    {
        return new self(
            Salting::of(SaltBasis::OfVegetable, usual: 0.03, least: 0.015)
                ->mindingFoods()
                ->leastAtTheEnd(SaltFloor::FERMENTING),
            new Preparation(Seconds::ofHours(1.0), draw: Band::of(0.1, 0.2, 0.3)),
            EdiblePart::dressed(self::window(1.0, 3.0, 14.0)),
            Storage::vegetables(self::BRINED_HEADSPACE_MM),
        );
    }

    private static function quickSaltPickle(): self
    {
        return new self(
            Salting::of(SaltBasis::OfWater, usual: 0.2, least: 0.1),
            new Preparation(Seconds::ofHours(4.0), draw: Preparation::brineDraw()),
            EdiblePart::pieces(null)->countingFrom(LiveFrom::Never),
            Storage::strictly(self::BRINED_HEADSPACE_MM, days: 7),
        );
    }

    private static function culturedCondiment(): self
    {
        return new self(
            Salting::of(SaltBasis::OfEverything, usual: 0.01, least: 0.005),
            new Preparation(takesStarter: true),
            EdiblePart::sauce(self::window(1.0, 2.0, 5.0))->countingFrom(LiveFrom::Ready),
            Storage::sauce(self::SAUCE_HEADSPACE_MM, days: 60),
        );
    }

    /** Its culture makes the acid, so that it needs no salt and has no floor. */
    private static function milkAndSweet(): self
    {
        return new self(
            Salting::of(SaltBasis::OfEverything, usual: 0.0),
            new Preparation(takesStarter: true),
            EdiblePart::glass(self::window(0.75, 1.0, 3.0))->countingFrom(LiveFrom::Ready),
            Storage::breathing(self::SAUCE_HEADSPACE_MM, days: self::SWEET_DAYS),
        );
    }

    private static function reusedBrine(): self
    {
        return new self(
            Salting::of(SaltBasis::OfEverything, usual: 0.025, least: SaltFloor::FERMENTING)->mindingFoods(),
            new Preparation(draw: Preparation::brineDraw(), takesStarter: true),
            EdiblePart::pieces(self::window(3.0, 7.0, 21.0)),
            Storage::vegetables(self::BRINED_HEADSPACE_MM),
        );
    }

    private static function transform(): self
    {
        return new self(
            Salting::of(SaltBasis::OfEverything, usual: 0.02),
            new Preparation(),
            EdiblePart::sauce(null)->countingFrom(LiveFrom::AtOnce),
            Storage::sauce(self::SAUCE_HEADSPACE_MM, days: 180),
        );
    }

    private static function bought(): self
    {
        return new self(
            Salting::of(SaltBasis::OfEverything, usual: 0.0),
            new Preparation(),
            EdiblePart::pieces(null)->countingFrom(LiveFrom::AtOnce),
            Storage::sauce(self::SAUCE_HEADSPACE_MM, days: 60),
        );
    }

    private static function spareBrine(): self
    {
        return new self(
            Salting::of(SaltBasis::BrineStrength, usual: 0.0),
            new Preparation(),
            EdiblePart::brine(),
            Storage::sauce(self::SAUCE_HEADSPACE_MM, days: self::SPARE_BRINE_DAYS),
        );
    }

    /** Days at the reference temperature until it is young, ready and past its best, where no formula says so. */
    private static function window(float $young, float $ready, float $long): Window
    {
        return Window::of($young, $ready, $long, Celsius::of(Ripening::REFERENCE_CELSIUS));
    }
}
