<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Produce\PieceShape;

/**
 * What a food weighs by the spoon, the cup and the piece.
 */
final readonly class MeasuredFood
{
    /** How densely cut food lies, against the same chopped: common practice, no source. */
    private const CUTS = [
        'whole' => 0.85,
        'chopped' => 1.0,
        'diced' => 1.05,
        'sliced' => 0.85,
        'shredded' => 0.8,
        'grated' => 0.95,
        'minced' => 1.2,
        'sticks' => 0.95,
        'halves' => 0.9,
        'florets' => 0.8,
    ];

    /** g/ml of cut food of which no cup was ever weighed, by its shape; common practice, no source. */
    private const BULK = [
        'shreds' => [0.25, 0.33, 0.52],
        'leaves' => [0.1, 0.17, 0.35],
        'other' => [0.38, 0.52, 0.68],
    ];

    /** How far off such a factor can be. */
    private const CUT_BAND = [0.8, 1.0, 1.25];

    private const PACKED = [1.1, 1.25, 1.5];

    /** Grams in a forkful and a spoonful, by the family; common practice, no source. */
    private const FORKFULS = [
        'shreds' => [8.0, 15.0, 25.0],
        'leaves' => [10.0, 20.0, 35.0],
        'pulp' => [8.0, 14.0, 22.0],
        'other' => [6.0, 12.0, 22.0],
    ];

    /** Sizes: low, typical, high against a piece of which none was said; common practice, no source. */
    private const SIZES = [
        'tiny' => [0.3, 0.45, 0.65],
        'small' => [0.48, 0.67, 0.85],
        'medium' => [0.8, 1.0, 1.25],
        'large' => [1.15, 1.4, 1.85],
        'huge' => [1.5, 1.9, 2.6],
    ];

    /** An egg is a large one where nobody says its size. */
    private const EGG_SIZES = [
        'tiny' => [0.7, 0.76, 0.84],
        'small' => [0.76, 0.82, 0.9],
        'medium' => [0.84, 0.9, 0.96],
        'large' => [0.92, 1.0, 1.1],
        'huge' => [1.08, 1.15, 1.3],
    ];

    /**
     * @param  string  $id  its key
     * @param  list<string>  $names  all that it is called
     * @param  Band  $density  g/ml as it lies in a spoon
     * @param  bool  $isCut  whether a cup holds pieces of it and air
     * @param  array<string, Band>  $cups  g/ml in a cup, by its cut; "any" where nothing was said
     * @param  array<string, Band>  $pieces  grams of one, by how it is counted; "one" where nothing was said
     * @param  Band|null  $forkful  grams, weighed in this kitchen
     * @param  Band|null  $spoonful  grams, weighed in this kitchen
     */
    public function __construct(
        public string $id,
        public Message $label,
        public array $names,
        public Band $density,
        public PieceShape $shape,
        public bool $isCut = false,
        public bool $isSalt = false,
        public array $cups = [],
        public array $pieces = [],
        public ?Band $forkful = null,
        public ?Band $spoonful = null,
    ) {}

    /** Nothing but water; kitchens measure it by volume. */
    public static function water(): self
    {
        return new self(
            'water',
            Message::of('say.water'),
            ['water', 'liquid', 'tap water'],
            Band::exact(0.9982),
            PieceShape::Pulp,
        );
    }

    /** The same with its fork and its spoon weighed. */
    public function weighing(?Band $forkful, ?Band $spoonful): self
    {
        return $this->measuring($this->cups, $forkful ?? $this->forkful, $spoonful ?? $this->spoonful);
    }

    /** The family of a fork: shreds, leaves, pulp, other. */
    public static function family(PieceShape $shape): string
    {
        return isset(self::FORKFULS[$shape->value]) ? $shape->value : 'other';
    }

    /** The same, cut as it lies before the cook: a cup of it is a cup of such pieces. */
    public function asCut(?string $cut): self
    {
        return $cut === null
            ? $this
            : $this->measuring([...$this->cups, 'any' => $this->bulk($cut, false)], $this->forkful, $this->spoonful);
    }

    /** @param  array<string, Band>  $cups */
    private function measuring(array $cups, ?Band $forkful, ?Band $spoonful): self
    {
        return new self(
            $this->id,
            $this->label,
            $this->names,
            $this->density,
            $this->shape,
            $this->isCut,
            $this->isSalt,
            $cups,
            $this->pieces,
            $forkful,
            $spoonful,
        );
    }

    /** g/ml as it fills a measure. */
    public function bulk(?string $cut, bool $isPacked, bool $isSpoon = false): Band
    {
        // Into a spoon goes what is cut small.
        if ($isSpoon && !$this->isCut && ($cut === null || $this->isHerb())) {
            return $this->density;
        }
        if ($isSpoon && $cut === null) {
            return $this->cups['minced'] ?? ($this->cups['chopped'] ?? $this->likeChopped(null));
        }
        if ($cut === 'puree') {
            return $this->cups['puree'] ?? Band::of(0.92, 1.0, 1.08);
        }
        $bulk =
            $this->cups[$cut ?? 'any'] ??
            ($this->cups === [] && !$this->isCut ? $this->density : $this->likeChopped($cut));

        return $isPacked && !isset($this->cups['packed'])
            ? ($this->isCut
                ? Bands::product($bulk, Band::of(...self::PACKED))
                : $bulk)
            : ($isPacked
                ? $this->cups['packed']
                : $bulk);
    }

    /** Grams of one, as it is counted; null where nobody counts it so. */
    public function piece(string $noun, string $size = ''): ?Band
    {
        $known = $this->pieces[$noun] ?? ($noun === 'one' ? $this->pieces['head'] ?? null : null);
        if ($known === null && isset(Units::SHARES[$noun])) {
            $whole = $this->pieces['one'] ?? ($this->pieces['head'] ?? null);
            $known = $whole === null ? null : Bands::product($whole, Band::of(...Units::SHARES[$noun]));
        }
        $known ??= match ($noun) {
            'bunch' => $this->isCut
                ? Band::of(120.0, 250.0, 450.0)
                : ($this->isHerb()
                    ? Band::of(20.0, 35.0, 70.0)
                    : null),
            'sprig' => $this->isHerb() ? Band::of(0.4, 1.2, 3.0) : null,
            'leaf' => $this->isHerb() ? Band::of(0.05, 0.3, 1.0) : null,
            'head', 'root' => $this->pieces['one'] ?? null,
            default => null,
        };
        if ($known === null || $size === '') {
            return $known;
        }
        $factor = Band::of(...(str_starts_with($this->id, 'egg') ? self::EGG_SIZES : self::SIZES)[$size]);

        return Band::of(
            $known->typical * $factor->low,
            $known->typical * $factor->typical,
            $known->typical * $factor->high,
        );
    }

    /** Grams of a centimetre of it; null where it is not measured so. */
    public function perCentimetre(): ?Band
    {
        return $this->pieces['cm'] ?? null;
    }

    public function forkful(): Band
    {
        return $this->forkful ??
            ($this->pieces['forkful'] ?? Band::of(...self::FORKFULS[$this->shape->value] ?? self::FORKFULS['other']));
    }

    /** Grams of an eating spoon of it. */
    public function spoonful(): Band
    {
        return $this->spoonful ?? Bands::product(Band::of(8.0, 13.0, 20.0), $this->bulk(null, false));
    }

    public function isCounted(): bool
    {
        return isset($this->pieces['one']) || isset($this->pieces['head']);
    }

    public function isHerb(): bool
    {
        return $this->shape === PieceShape::Leaves && !$this->isCut;
    }

    private function likeChopped(?string $cut): Band
    {
        $any =
            $this->cups['chopped'] ??
            ($this->cups['any'] ?? Band::of(...self::BULK[$this->shape->value] ?? self::BULK['other']));

        return $cut === null ? $any : Bands::product($any->times(self::CUTS[$cut] ?? 1.0), Band::of(...self::CUT_BAND));
    }
}
