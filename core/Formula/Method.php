<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Band;
use Tempesal\Core\Ferment\Ripening;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Salt\Basis;

/**
 * A way to bring salt and food together. Usual strengths, headspaces and draws are common practice, no source.
 */
enum Method: string
{
    case DrySalting = 'dry_salting';
    case PouredBrine = 'poured_brine';
    case EquilibriumBrine = 'equilibrium_brine';
    case Mash = 'mash';
    case KimchiDrySalted = 'kimchi_dry_salted';
    case KimchiSoaked = 'kimchi_soaked';
    case SaltAndDrain = 'salt_and_drain';
    case QuickSaltPickle = 'quick_salt_pickle';
    case CulturedCondiment = 'cultured_condiment';
    case ReusedBrine = 'reused_brine';
    case Transform = 'transform';
    case Bought = 'bought';

    public function label(): string
    {
        return match ($this) {
            self::DrySalting => 'Dry salting',
            self::PouredBrine => 'Poured brine',
            self::EquilibriumBrine => 'Equilibrium brine',
            self::Mash => 'Mash',
            self::KimchiDrySalted => 'Kimchi style, salted dry',
            self::KimchiSoaked => 'Kimchi style, soaked',
            self::SaltAndDrain => 'Salt and drain',
            self::QuickSaltPickle => 'Quick salt pickle',
            self::CulturedCondiment => 'Cultured condiment',
            self::ReusedBrine => 'Re-used brine',
            self::Transform => 'Sauce from a batch',
            self::Bought => 'Bought',
        };
    }

    public function note(): string
    {
        return match ($this) {
            self::DrySalting => 'Salt on the cut vegetable; it makes its own juice.',
            self::PouredBrine => 'Salt on the water; the vegetable takes about half of it.',
            self::EquilibriumBrine => 'Salt on vegetable and water together; what you set is what it ends at.',
            self::Mash => 'Chopped or blended, salt on its weight, no water; stir daily in the first week.',
            self::KimchiDrySalted => 'Salted dry for an hour, rinsed, squeezed, dressed with a paste that brings salt of its own.',
            self::KimchiSoaked => 'Soaked in strong brine, rinsed, squeezed, dressed with a paste that brings salt of its own.',
            self::SaltAndDrain => 'Salted for an hour, drained but not rinsed, dressed and eaten fresh or fermented on.',
            self::QuickSaltPickle => 'Hours in strong cooled brine, then the fridge, eaten within a week. It is not a ferment.',
            self::CulturedCondiment => 'A purée or emulsion with live brine or whey stirred in.',
            self::ReusedBrine => 'A finished jar\'s brine over a fresh batch, salted up again.',
            self::Transform => 'Strain, keep some brine, blend, thin; heated it is no longer live.',
            self::Bought => 'From a shop: its label says its sodium. Live only when it was not heated and was kept cold.',
        };
    }

    /**
     * When it is young, ready and long, for batches that were made without a formula: common practice, no source, but for
     * kraut, whose 3 to 4 weeks at 70-75 °F are those of Ripening. Null where nothing ripens.
     */
    public function usualWindow(): ?Window
    {
        $days = match ($this) {
            self::DrySalting => [7.0, 21.0, 42.0],
            self::PouredBrine, self::EquilibriumBrine => [4.0, 9.0, 28.0],
            self::ReusedBrine => [3.0, 7.0, 21.0],
            self::Mash => [7.0, 21.0, 90.0],
            self::KimchiDrySalted, self::KimchiSoaked => [2.0, 5.0, 30.0],
            self::SaltAndDrain => [1.0, 3.0, 14.0],
            self::CulturedCondiment => [1.0, 2.0, 5.0],
            self::QuickSaltPickle, self::Transform, self::Bought => null,
        };

        return $days === null ? null : Window::of($days[0], $days[1], $days[2], Celsius::of(Ripening::REFERENCE_CELSIUS));
    }

    /** The basis in which its strength is usually said. */
    public function usualBasis(): Basis
    {
        return match ($this) {
            self::DrySalting, self::Mash, self::KimchiDrySalted, self::SaltAndDrain => Basis::OfVegetable,
            self::PouredBrine, self::KimchiSoaked, self::QuickSaltPickle => Basis::OfWater,
            self::EquilibriumBrine, self::CulturedCondiment, self::ReusedBrine, self::Transform, self::Bought => Basis::OfEverything,
        };
    }

    public function usualShare(): float
    {
        return match ($this) {
            self::DrySalting => 0.0225,
            self::PouredBrine, self::Mash, self::SaltAndDrain, self::KimchiDrySalted => 0.03,
            self::EquilibriumBrine, self::ReusedBrine => 0.025,
            self::KimchiSoaked => 0.065,
            self::QuickSaltPickle => 0.20,
            self::CulturedCondiment => 0.01,
            self::Transform => 0.02,
            self::Bought => 0.0,
        };
    }

    public function usualHeadspace(): Millimetres
    {
        return Millimetres::of(match ($this) {
            self::DrySalting, self::KimchiDrySalted, self::KimchiSoaked => 50.0,
            self::PouredBrine, self::EquilibriumBrine, self::ReusedBrine, self::QuickSaltPickle, self::SaltAndDrain => 20.0,
            self::Mash => 38.0,
            self::CulturedCondiment, self::Transform, self::Bought => 25.0,
        });
    }

    /** Whether a brine is mixed for it from salt and water. */
    public function hasPouredBrine(): bool
    {
        return $this->keepsPouredBrine() || $this === self::KimchiSoaked;
    }

    /** Whether that brine stays in the jar. */
    public function keepsPouredBrine(): bool
    {
        return $this === self::PouredBrine || $this === self::EquilibriumBrine || $this === self::QuickSaltPickle;
    }

    /** Whether it is salted, drained and then dressed. */
    public function isDressed(): bool
    {
        return $this === self::KimchiDrySalted || $this === self::KimchiSoaked || $this === self::SaltAndDrain;
    }

    /** Whether a starter may go in with it. */
    public function takesStarter(): bool
    {
        return ! $this->isDressed() && $this !== self::QuickSaltPickle && $this !== self::Transform && $this !== self::Bought;
    }

    /** How long it rests or soaks before the next step: common practice, no source. Null where salting is no step of its own. */
    public function usualSalting(): ?Seconds
    {
        return match ($this) {
            self::KimchiDrySalted, self::SaltAndDrain => Seconds::ofHours(1.0),
            self::KimchiSoaked => Seconds::ofHours(18.0),
            self::QuickSaltPickle => Seconds::ofHours(6.0),
            default => null,
        };
    }

    /** How long it is rinsed after salting: common practice, no source. Null where it is not. */
    public function usualRinse(): ?Seconds
    {
        return $this === self::KimchiDrySalted || $this === self::KimchiSoaked ? Seconds::of(120.0) : null;
    }

    /**
     * One by which something is made, as it is documented.
     *
     * @throws InvalidField
     */
    public static function read(Fields $fields): self
    {
        $method = $fields->choice('method', self::class);

        return $method->isMade() ? $method : throw $fields->invalid('method', 'what is bought is not made; it goes onto the shelf as it is.');
    }

    public function isMade(): bool
    {
        return $this !== self::Bought;
    }

    /** @return list<self> those by which a cook makes something */
    public static function made(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $method): bool => $method->isMade()));
    }

    /** Whether all work in it is done when the jar is closed; its days ask for nothing. */
    public function isDone(): bool
    {
        return $this === self::Transform || $this === self::Bought;
    }

    /** Whether the cook eats it for its living cultures; a quick pickle never is one. */
    public function isFerment(): bool
    {
        return $this !== self::QuickSaltPickle;
    }

    /** What is served from such a batch. */
    public function servedPhase(): Phase
    {
        return match ($this) {
            self::Mash, self::CulturedCondiment, self::Transform => Phase::Sauce,
            default => Phase::Pieces,
        };
    }

    /**
     * Juice drawn out of the pieces, as a share of their weight.
     *
     * @param  float  $brineStrength  of the poured brine; strong ones can shrink the pieces
     */
    public function draw(float $brineStrength): Band
    {
        return match (true) {
            $this->servedPhase() === Phase::Sauce => Band::exact(0.0),
            $this === self::DrySalting, $this === self::SaltAndDrain => Band::of(0.10, 0.20, 0.30),
            $this === self::KimchiDrySalted, $this === self::KimchiSoaked => Band::of(0.10, 0.15, 0.25),
            $brineStrength < 0.05 => Band::of(-0.03, 0.0, 0.05),
            default => Band::of(-0.03, 0.0, 0.15),
        };
    }
}
