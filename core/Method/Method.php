<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Message\Message;

/**
 * A way to bring salt and food together. All that is usual, least or allowed for it stands in its profile.
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
    case MilkAndSweet = 'milk_and_sweet';
    case ReusedBrine = 'reused_brine';
    case Transform = 'transform';
    case Bought = 'bought';
    case SpareBrine = 'spare_brine';

    public function profile(): MethodProfile
    {
        return MethodProfile::of($this);
    }

    public function label(): Message
    {
        return Message::of("method.{$this->value}");
    }

    /** How it is done, in a sentence or two. */
    public function note(): Message
    {
        return Message::of("method_note.{$this->value}");
    }

    /**
     * One by which something is made, as it is documented.
     *
     * @throws InvalidField
     */
    public static function read(Fields $fields): self
    {
        $method = $fields->choice('method', self::class);

        return $method->isMade()
            ? $method
            : throw $fields->invalid('method', Message::of("errors.{$method->value}_not_made"));
    }

    public function isMade(): bool
    {
        return $this !== self::Bought && $this !== self::SpareBrine;
    }

    /** Whether it is eaten and planned by itself; brine that is kept for other jars is not. */
    public function isFood(): bool
    {
        return $this !== self::SpareBrine;
    }

    /** @return list<self> those by which a cook makes something */
    public static function made(): array
    {
        return array_values(array_filter(self::cases(), static fn(self $method): bool => $method->isMade()));
    }

    /** Whether it needs something of another batch to begin with. */
    public function isOfAnotherBatch(): bool
    {
        return $this === self::ReusedBrine || $this === self::Transform;
    }

    /** Whether all work in it is done when the jar is closed; its days ask for nothing. */
    public function isDone(): bool
    {
        return $this === self::Transform || !$this->isMade();
    }

    /** Whether the cook eats it for its living cultures; a quick pickle never is one. */
    public function isFerment(): bool
    {
        return $this !== self::QuickSaltPickle;
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

    /** Whether it is stirred together from any foods, with salt or without. */
    public function isMixed(): bool
    {
        return $this === self::CulturedCondiment || $this === self::MilkAndSweet;
    }

    /** Whether food lies in a liquid that was poured over it, mixed or from another jar. */
    public function hasLiquid(): bool
    {
        return $this->hasPouredBrine() || $this === self::ReusedBrine;
    }

    /** Whether it is salted, drained and then dressed. */
    public function isDressed(): bool
    {
        return $this === self::KimchiDrySalted || $this === self::KimchiSoaked || $this === self::SaltAndDrain;
    }

    /** What is served from such a batch. */
    public function served(): Served
    {
        return $this->profile()->eaten->served;
    }
}
