<?php

declare(strict_types=1);

namespace Tempesal\Core\Produce;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Message\LibraryName;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Uptake\Piece;
use Tempesal\Core\Uptake\PieceForm;
use Tempesal\Core\Uptake\Tissue;

/**
 * A food as the salt ledger sees it.
 */
final readonly class Ingredient
{
    public const USUAL_BRINE_FLOOR = 0.02;

    /** The beginning of the id of what another jar lends. */
    public const OF_BATCH = 'batch-';

    /** The beginning of the name under which its brine is kept in the ledger. */
    public const BRINE_OF = 'brine of ';

    /** Grams of water in 100 g below which a food is dried: seeds, flakes, powder; and how small those are. */
    private const DRIED_WATER = 20.0;

    private const DRIED_MM = 1.0;

    /** Radius of a clove of garlic and of a pod or bean: common practice, no source. */
    private const CLOVE_MM = 8.0;

    private const POD_MM = 8.0;

    private Uncertain $sodium;

    /**
     * @param  float  $waterPer100g  grams
     * @param  Band  $sodiumPer100g  milligrams
     * @param  float  $density  g/ml
     * @param  PieceShape  $shape  how it is cut
     * @param  bool  $hollow  whether whole pieces hold air and must be split
     * @param  bool  $live  whether it brings living cultures of its own
     * @param  float  $brineFloor  least salt for a poured brine, as a share of the water
     * @param  list<Allergen>  $allergens
     * @param  float|null  $ph  of a liquid, where it is known
     * @param  list<FoodTrait>  $traits
     * @param  Piece|null  $piece  measured by the cook; null: as such cuts usually are
     * @param  list<CutShare>  $cutShares  where parts of it are cut otherwise; none: all of it is cut alike
     * @param  bool  $isCutKnown  whether anything was said of how it is cut; otherwise it counts as chunks
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $waterPer100g,
        public Band $sodiumPer100g,
        public float $density = 1.0,
        public PieceShape $shape = PieceShape::Chunks,
        public bool $hollow = false,
        public bool $live = false,
        public float $brineFloor = self::USUAL_BRINE_FLOOR,
        public Tissue $tissue = Tissue::Root,
        public array $allergens = [],
        public ?float $ph = null,
        public array $traits = [],
        private ?Piece $piece = null,
        public array $cutShares = [],
        public bool $isCutKnown = true,
    ) {
        $this->sodium = new Uncertain(
            "produce:{$id}:sodium",
            'produce_sodium',
            $sodiumPer100g->times(0.01),
            $this->label(),
            false,
        );
    }

    public static function water(): self
    {
        return new self('water', 'water', 100.0, Band::exact(0.0), traits: [FoodTrait::Liquid]);
    }

    /** Its name for the reader; what comes out of another jar is called by that jar. */
    public function label(): Message
    {
        return str_starts_with($this->id, self::OF_BATCH) && str_starts_with($this->name, self::BRINE_OF)
            ? Message::of('liquid.brine_of', jar: substr($this->name, strlen(self::BRINE_OF)))
            : LibraryName::food($this->id, $this->name);
    }

    public function waterShare(): float
    {
        return $this->waterPer100g / 100.0;
    }

    /** Milligrams of sodium in a gram. */
    public function sodiumPerGram(): Uncertain
    {
        return $this->sodium;
    }

    public function is(FoodTrait $trait): bool
    {
        return in_array($trait, $this->traits, true);
    }

    /** Whether it lies in the jar as pieces, pulp or powder, not as part of the liquid. */
    public function isSolid(): bool
    {
        return !$this->is(FoodTrait::Liquid);
    }

    /** What a weight of it brings into a jar. */
    public function masses(float $grams, Point $point): Composition
    {
        return Composition::ofFood($grams, $this->waterShare(), $point->of($this->sodiumPerGram()));
    }

    /** The piece that salt moves into. */
    public function piece(): Piece
    {
        return $this->piece ??
            Piece::byEye(
                $this->shape->form(),
                $this->shape->reach(),
                $this->shape->tissue($this->tissue)->diffusivity(),
            );
    }

    /**
     * The kinds of pieces that it comes in; together all of it.
     *
     * @return non-empty-list<Cut>
     */
    public function cuts(): array
    {
        $shares =
            $this->cutShares === [] && $this->piece === null
                ? $this->shape->usualParts($this->tissue)
                : $this->cutShares;
        if ($shares === []) {
            return [new Cut($this->piece ?? $this->cutAs($this->shape), 1.0, $this->label())];
        }

        return array_map(function (CutShare $part): Cut {
            $piece = $this->cutAs($part->shape);

            return new Cut(
                $part->reachMm === null ? $piece : $piece->reaching($part->reachMm),
                $part->share,
                Message::of('cut.of_food', food: $this->label(), cut: $part->shape->label()),
            );
        }, $shares);
    }

    /** A piece of it in some cut. Whole cloves are small, and so is what is dried. */
    private function cutAs(PieceShape $shape): Piece
    {
        [$form, $reach] = match (true) {
            $this->waterPer100g < self::DRIED_WATER => [PieceForm::Sphere, self::DRIED_MM],
            $shape === PieceShape::Whole && $this->tissue === Tissue::GarlicClove => [
                PieceForm::Sphere,
                self::CLOVE_MM,
            ],
            $shape === PieceShape::Whole && $this->tissue === Tissue::SplitChilli => [
                PieceForm::Cylinder,
                self::POD_MM,
            ],
            default => [$shape->form(), $shape->reach()->value],
        };

        return Piece::byEye($form, Millimetres::of($reach), $shape->tissue($this->tissue)->diffusivity());
    }

    /**
     * The same food with parts of it cut otherwise.
     *
     * @param  list<CutShare>  $shares
     */
    public function inParts(array $shares): self
    {
        return $this->shaped($this->shape, $shares);
    }

    /** The same food in another cut. */
    public function cut(PieceShape $shape): self
    {
        return $this->shaped($shape, []);
    }

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        $ingredient = new self(
            $fields->text('id'),
            $fields->text('name'),
            $fields->band('waterPer100g', null, 0.0, 100.0)->typical,
            $fields->band('sodiumPer100g', null, 0.0, 40_000.0),
            $fields->band('density', Band::exact(1.0), 0.05, 5.0)->typical,
            $fields->choice('shape', PieceShape::class, PieceShape::Chunks),
            $fields->flag('hollow'),
            $fields->flag('live'),
            $fields->share('brineFloor', self::USUAL_BRINE_FLOOR),
            $fields->choice('tissue', Tissue::class, Tissue::Root),
            $fields->choices('allergens', Allergen::class),
            $fields->has('ph') ? $fields->band('ph', null, 0.0, 14.0)->typical : null,
            $fields->has('traits')
                ? $fields->choices('traits', FoodTrait::class)
                : FoodTrait::ofName($fields->text('name')),
            $fields->has('piece') ? Piece::read($fields->child('piece')) : null,
            CutShare::readAll($fields, 'cuts'),
            $fields->has('shape') || $fields->has('piece') || $fields->has('cuts'),
        );
        if ($ingredient->masses(100.0, Point::typical())->weightG() > 100.0 + 1e-6) {
            throw $fields->invalid('sodiumPer100g', Message::of('errors.food_too_heavy'));
        }

        return $ingredient;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'waterPer100g' => $this->waterPer100g,
            'sodiumPer100g' => $this->sodiumPer100g->toArray(),
            'density' => $this->density,
            'shape' => $this->shape->value,
            'hollow' => $this->hollow,
            'live' => $this->live,
            'brineFloor' => $this->brineFloor,
            'tissue' => $this->tissue->value,
            'allergens' => array_map(static fn(Allergen $allergen): string => $allergen->value, $this->allergens),
            'traits' => array_map(static fn(FoodTrait $trait): string => $trait->value, $this->traits),
            ...$this->ph === null ? [] : ['ph' => $this->ph],
            ...$this->piece === null ? [] : ['piece' => $this->piece->toArray()],
            ...$this->cutShares === []
                ? []
                : ['cuts' => array_map(static fn(CutShare $part): array => $part->toArray(), $this->cutShares)],
        ];
    }

    /** @param  list<CutShare>  $shares */
    private function shaped(PieceShape $shape, array $shares): self
    {
        return new self(
            $this->id,
            $this->name,
            $this->waterPer100g,
            $this->sodiumPer100g,
            $this->density,
            $shape,
            $this->hollow,
            $this->live,
            $this->brineFloor,
            $this->tissue,
            $this->allergens,
            $this->ph,
            $this->traits,
            $this->piece,
            $shares,
        );
    }
}
