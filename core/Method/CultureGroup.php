<?php

declare(strict_types=1);

namespace Tempesal\Core\Method;

use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Message\Message;

/**
 * Which cultures a jar brings to the table: three krauts are one kind, a kraut and a kimchi are two. Common practice, no
 * source: what ferments alike, on like food, grows alike.
 */
enum CultureGroup: string
{
    case Kraut = 'kraut';
    case Brined = 'brined';
    case Kimchi = 'kimchi';
    case Sauce = 'sauce';
    case Condiment = 'condiment';
    case Dairy = 'dairy';
    case Drink = 'drink';
    case Koji = 'koji';
    /** Vinegar bacteria: not what a goal of live servings means. */
    case Vinegar = 'vinegar';

    /** What the name of a bought food says, the first that fits. */
    private const NAMES = [
        'vinegar' => '/\bvinegar\b/i',
        'drink' => '/\b(kombucha|kvass|water kefir|tepache|ginger beer)\b/i',
        'dairy' => '/\b(yogurt|yoghurt|kefir|labneh|quark|buttermilk|whey|cream|cheese|lassi)\b/i',
        'kimchi' => '/\b(kimchi|kimchee|gimchi)\b/i',
        'kraut' => '/\b(sauerkraut|kraut|curtido)\b/i',
        'koji' => '/\b(miso|doenjang|gochujang|tempeh|natto|koji|shio|soy sauce|tamari)\b/i',
        'sauce' => '/\b(hot sauce|chilli sauce|sambal|sriracha)\b/i',
        'brined' => '/\b(pickles?|gherkins?|olives?|sours?|cucumbers?|carrots?|beets?|beetroot|giardiniera)\b/i',
    ];

    /**
     * @param  Served  $served  what is eaten of it
     * @param  string  $name  of a bought food
     * @param  bool  $isMilk  whether it is made of milk for the most part
     */
    public static function of(Method $method, Served $served, string $name = '', bool $isMilk = false): self
    {
        return match ($method) {
            Method::DrySalting => self::Kraut,
            Method::KimchiDrySalted, Method::KimchiSoaked, Method::SaltAndDrain => self::Kimchi,
            Method::Mash, Method::Transform => self::Sauce,
            Method::CulturedCondiment => self::ofName($name) === self::Dairy ? self::Dairy : self::Condiment,
            Method::MilkAndSweet => $isMilk ? self::Dairy : self::Drink,
            Method::Bought => self::ofName($name) ?? self::Condiment,
            default => $served === Served::Brine ? self::Drink : self::Brined,
        };
    }

    /** Whether it is meant by a goal of live servings. */
    public function counts(): bool
    {
        return $this !== self::Vinegar;
    }

    public function label(): Message
    {
        return Message::of("culture.{$this->value}");
    }

    /** What it is made of: "plant", "dairy" or "drink". */
    public function family(): string
    {
        return match ($this) {
            self::Dairy => 'dairy',
            self::Drink => 'drink',
            default => 'plant',
        };
    }

    private static function ofName(string $name): ?self
    {
        foreach (self::NAMES as $group => $words) {
            if (preg_match($words, $name) === 1) {
                return self::from($group);
            }
        }

        return null;
    }
}
