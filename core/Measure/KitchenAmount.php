<?php

declare(strict_types=1);

namespace Tempesal\Core\Measure;

use Tempesal\Core\Message\Message;

/**
 * What a cook typed for an amount, read: "250 g", "1 1/2 tbsp", "½ cup", "1,5 kg", "1 lb 4 oz", "a heaped tsp".
 */
final readonly class KitchenAmount
{
    private const FRACTIONS = [
        '½' => '1/2',
        '⅓' => '1/3',
        '⅔' => '2/3',
        '¼' => '1/4',
        '¾' => '3/4',
        '⅛' => '1/8',
        '⅜' => '3/8',
        '⅝' => '5/8',
        '⅞' => '7/8',
        '⅙' => '1/6',
        '⅕' => '1/5',
    ];

    /**
     * @param  non-empty-list<AmountTerm>  $terms
     */
    private function __construct(public array $terms, public string $typed) {}

    /**
     * @throws InvalidQuantity with a sentence that says what could not be read
     */
    public static function parse(string $typed, SpoonSystem $spoons = SpoonSystem::Us): self
    {
        $text = trim(strtr($typed, [...self::spacedFractions(), '⁄' => '/', '−' => '-', "\u{00A0}" => ' ']));
        if ($text === '') {
            throw new InvalidQuantity(Message::of('errors.amount_missing'));
        }
        if (preg_match('/^-/', $text) === 1) {
            throw new InvalidQuantity(Message::of('errors.amount_negative'));
        }

        $terms = [];
        $rest = $text;
        while ($rest !== '') {
            [$term, $rest] = self::readTerm($rest, $typed, $spoons);
            $terms[] = $term;
        }
        self::refuseMixture($terms, $typed);

        return new self($terms, $typed);
    }

    public function isMass(): bool
    {
        return $this->terms[0]->unit instanceof MassUnit;
    }

    public function isVolume(): bool
    {
        return $this->terms[0]->unit instanceof VolumeUnit;
    }

    /** Whether a bare number was typed, so that the field's own unit applies. */
    public function isBare(): bool
    {
        return $this->terms[0]->unit === null;
    }

    /**
     * The amount as a weight; a bare number counts as grams.
     *
     * @throws InvalidQuantity for volumes, whose weight depends on what is measured
     */
    public function grams(): Grams
    {
        $grams = 0.0;
        foreach ($this->terms as $term) {
            if ($term->unit instanceof VolumeUnit) {
                throw new InvalidQuantity(Message::of('errors.amount_volume', typed: $this->typed));
            }
            $grams += $term->amount * ($term->unit?->grams() ?? 1.0);
        }

        return Grams::of($grams);
    }

    /**
     * The amount as a volume at the typical fill of its spoons; a bare number counts as millilitres.
     *
     * @throws InvalidQuantity for weights
     */
    public function millilitres(): Millilitres
    {
        $millilitres = 0.0;
        foreach ($this->terms as $term) {
            if ($term->unit instanceof MassUnit) {
                throw new InvalidQuantity(Message::of('errors.amount_weight', typed: $this->typed));
            }
            $millilitres += $term->amount * ($term->unit?->millilitres() ?? 1.0) * $term->fill->factor()->typical;
        }

        return Millilitres::of($millilitres);
    }

    /**
     * @return array{AmountTerm, string} the term and the text after it
     *
     * @throws InvalidQuantity
     */
    private static function readTerm(string $text, string $typed, SpoonSystem $spoons): array
    {
        $fills = 'level|rounded|heaped|heaping|scant';
        $number =
            '(?<whole>\d+)\s+(?<top>\d+)\s*\/\s*(?<bottom>\d+)|(?<top2>\d+)\s*\/\s*(?<bottom2>\d+)|' .
            '(?<decimal>\d+(?:[.,]\d+)?|[.,]\d+)|(?<one>an?)\b';
        $pattern =
            '/^(?:\\+|and\\b|' .
            ",)?\\s*(?:(?<fill0>{$fills})\\s+)?(?:{$number})\\s*(?:(?<fill>{$fills})\\s+)?(?<unit>fl\\.?\\s*oz|" .
            'fluid\\s+ounces?|[a-zA-Z]+)?\\.?\\s*/iu';
        if (preg_match($pattern, $text, $m, PREG_UNMATCHED_AS_NULL) !== 1) {
            throw new InvalidQuantity(Message::of('errors.amount_unclear', typed: self::short($typed)));
        }

        $amount = self::readNumber($m, $typed);
        $unitWord = $m['unit'] ?? null;
        $unit = $unitWord === null ? null : self::unit($unitWord, $spoons);
        if ($unitWord !== null && $unit === null) {
            throw new InvalidQuantity(Message::of('errors.amount_unit', unit: self::short((string) $unitWord)));
        }
        $fillWord = mb_strtolower($m['fill0'] ?? ($m['fill'] ?? 'level'));
        $fill = SpoonFill::from($fillWord === 'heaping' ? 'heaped' : $fillWord);
        if ($fill !== SpoonFill::Level && !($unit instanceof VolumeUnit && $unit->isSpoon())) {
            throw new InvalidQuantity(Message::of('errors.amount_fill'));
        }

        return [new AmountTerm($amount, $unit, $fill), substr($text, strlen((string) $m[0]))];
    }

    /**
     * @param  array<array-key, string|null>  $m
     *
     * @throws InvalidQuantity
     */
    private static function readNumber(array $m, string $typed): float
    {
        if (($m['one'] ?? null) !== null) {
            return 1.0;
        }
        if (($m['decimal'] ?? null) !== null) {
            if (preg_match('/^[1-9]\d{0,2},\d{3}$/', $m['decimal']) === 1) {
                $joined = str_replace(',', '', $m['decimal']);
                $point = str_replace(',', '.', $m['decimal']);
                throw new InvalidQuantity(Message::of('errors.amount_ambiguous', first: $joined, second: $point));
            }
            $amount = (float) str_replace(',', '.', $m['decimal']);
            if (!is_finite($amount)) {
                throw InvalidQuantity::notFinite();
            }

            return $amount;
        }
        $bottom = (float) ($m['bottom'] ?? ($m['bottom2'] ?? '1'));
        if ($bottom === 0.0) {
            throw new InvalidQuantity(Message::of('errors.amount_fraction'));
        }

        return (float) ($m['whole'] ?? '0') + (float) ($m['top'] ?? ($m['top2'] ?? '0')) / $bottom;
    }

    private static function unit(string $word, SpoonSystem $spoons): MassUnit|VolumeUnit|null
    {
        if ($word === 'T') {
            return $spoons->tablespoon();
        }
        $word = preg_replace('/[.\s]+/', ' ', mb_strtolower($word));

        return match ($word) {
            'mg' => MassUnit::Milligram,
            'g', 'gr', 'gram', 'grams', 'gramme', 'grammes' => MassUnit::Gram,
            'kg', 'kilo', 'kilos', 'kilogram', 'kilograms' => MassUnit::Kilogram,
            'oz', 'ounce', 'ounces' => MassUnit::Ounce,
            'lb', 'lbs', 'pound', 'pounds' => MassUnit::Pound,
            'ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters' => VolumeUnit::Millilitre,
            'cl' => VolumeUnit::Centilitre,
            'dl' => VolumeUnit::Decilitre,
            'l', 'litre', 'litres', 'liter', 'liters' => VolumeUnit::Litre,
            't', 'tsp', 'tsps', 'teaspoon', 'teaspoons' => $spoons->teaspoon(),
            'tb', 'tbs', 'tbsp', 'tbsps', 'tablespoon', 'tablespoons' => $spoons->tablespoon(),
            'fl oz', 'fluid ounce', 'fluid ounces' => VolumeUnit::UsFluidOunce,
            'c', 'cup', 'cups' => $spoons->cup(),
            'pt', 'pint', 'pints' => $spoons->pint(),
            'qt', 'quart', 'quarts' => VolumeUnit::UsQuart,
            'gal', 'gallon', 'gallons' => VolumeUnit::UsGallon,
            'pinch', 'pinches' => VolumeUnit::Pinch,
            'dash', 'dashes' => VolumeUnit::Dash,
            default => null,
        };
    }

    /**
     * @param  non-empty-list<AmountTerm>  $terms
     *
     * @throws InvalidQuantity
     */
    private static function refuseMixture(array $terms, string $typed): void
    {
        $kinds = array_unique(
            array_map(static fn(AmountTerm $term): string => $term->unit === null ? '' : $term->unit::class, $terms),
        );
        if (count($kinds) > 1) {
            throw new InvalidQuantity(Message::of('errors.amount_mixed'));
        }
        if (count($terms) > 1 && $terms[0]->unit === null) {
            throw new InvalidQuantity(Message::of('errors.amount_unclear', typed: self::short($typed)));
        }
    }

    /** @return array<string, string> */
    private static function spacedFractions(): array
    {
        return array_map(static fn(string $fraction): string => " {$fraction} ", self::FRACTIONS);
    }

    private static function short(string $typed): string
    {
        return mb_strimwidth($typed, 0, 40, '…');
    }
}
