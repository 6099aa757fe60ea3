<?php

declare(strict_types=1);

namespace App\Bench;

use App\Household\CurrentHousehold;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\HoldDown;
use App\Models\Ingredient;
use App\Models\Jar;
use App\Models\Salt;
use App\Pantry\FoodMeasures;
use App\Pantry\KitchenAmounts;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Amount\MeasuredFood;
use Tempesal\Core\Bench\BenchInput;
use Tempesal\Core\Bench\BlendSource;
use Tempesal\Core\Bench\Pretreatment;
use Tempesal\Core\Bench\SaltChoice;
use Tempesal\Core\Bench\SaltTarget;
use Tempesal\Core\Formula\SaltUnit;
use Tempesal\Core\Jar\Packing;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Measure\SpoonFill;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Process\IngredientAmount;
use Tempesal\Core\Produce\CutShare;
use Tempesal\Core\Produce\Ingredient as Produce;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Salt\SaltDose;
use Tempesal\Core\Salt\SaltProduct;

/**
 * Turns what was typed at the bench into a sheet for the core. Amounts are read as kitchens write them;
 * everything that cannot be read is named beside its field.
 *
 * @phpstan-import-type Typed from BenchFields
 */
final class BenchParser
{
    /** How a food that is cut so lies in a cup. */
    private const CUTS = [
        'shreds' => 'shredded',
        'sticks' => 'sticks',
        'rings' => 'sliced',
        'chunks' => 'chopped',
        'florets' => 'florets',
        'whole' => 'whole',
    ];

    public function __construct(private readonly CurrentHousehold $current, private readonly KitchenAmounts $amounts) {}

    /**
     * @param  Typed  $typed
     * @param  CarbonImmutable|null  $at  the moment at which another jar lends its brine; null: now
     *
     * @throws ValidationException
     */
    public function __invoke(array $typed, ?CarbonImmutable $at = null): ParsedBench
    {
        $at ??= CarbonImmutable::now();
        $errors = new FieldErrors();
        $spoons = $this->current->get()->spoon_system;
        $method = Method::from($typed['method']);

        $source =
            $method === Method::Transform
                ? self::row(
                    $errors,
                    'sourceBatchId',
                    Batch::query()
                        ->with(['entries', 'jar'])
                        ->find($typed['sourceBatchId'] ?? ''),
                    'batch',
                )
                : null;
        $vegetable =
            $method === Method::Transform
                ? null
                : self::row(
                    $errors,
                    'vegetableId',
                    self::eaten($method)->find($typed['vegetableId'] ?? ''),
                    'vegetable',
                );
        $salt = self::row($errors, 'saltId', Salt::query()->find($typed['saltId']), 'salt');
        $jars = self::jars($errors, $typed);

        $weight =
            $vegetable === null
                ? null
                : $this->weight(
                    $errors,
                    'vegetableAmount',
                    $typed['vegetableAmount'] ?? null,
                    FoodMeasures::ofFood($vegetable)->asCut(
                        self::CUTS[self::cut($typed, $method, $vegetable->shape)->value] ?? null,
                    ),
                );
        if ($weight !== null) {
            $weight = $this->withoutLeftOut($errors, $typed, $weight, FoodMeasures::ofFood($vegetable));
        }
        $isBrine = ($typed['waterAs'] ?? 'water') === 'brine';
        $water = $isBrine
            ? null
            : $this->liquid($errors, 'waterAmount', $typed['waterAmount'] ?? null, MeasuredFood::water());
        $made = FoodMeasures::ofProduct(
            $source->name ?? ($vegetable->name ?? ''),
            $source->density_g_per_ml ?? ($vegetable->density_g_per_ml ?? 1.0),
            $source !== null ? PieceShape::Pulp : self::cut($typed, $method, $vegetable->shape ?? PieceShape::Pulp),
        );
        $serving = Grams::of(
            $this->weight($errors, 'servingAmount', $typed['servingAmount'] ?? null, $made)->typical ??
                BenchFields::USUAL_SERVING_G,
        );
        $poured = $this->liquid($errors, 'pouredAmount', $typed['pouredAmount'] ?? null, MeasuredFood::water());
        $holdDown = isset($typed['holdDownId'])
            ? self::row($errors, 'holdDownId', HoldDown::query()->find($typed['holdDownId']), 'hold_down')
            : null;
        $packing = $errors->reading(
            'headspaceMm',
            static fn(): Packing => new Packing(
                isset($typed['headspaceMm'])
                    ? Millimetres::of((float) $typed['headspaceMm'])
                    : $method->profile()->storage->headspace,
                Millilitres::of((float) ($typed['weightMl'] ?? ($holdDown->volume_ml ?? 0.0))),
                fraction: $vegetable === null
                    ? null
                    : KitchenPacking::of($vegetable->id, self::cut($typed, $method, $vegetable->shape)),
            ),
        );
        $target = $salt === null ? null : $this->wish($errors, $typed, $method, $salt);
        [$starter, $lender, $lendable] = $method->profile()->preparation->takesStarter
            ? $this->starter($errors, $typed, $method, $at)
            : [null, null, null];
        $brine = $isBrine ? $this->volume($errors, 'waterAmount', $typed['waterAmount'] ?? null) : null;
        $alongside = $this->parts($errors, 'alongside', $typed['alongside'] ?? []);
        $paste = $method->isDressed() ? $this->parts($errors, 'paste', $typed['paste'] ?? []) : [];
        $kept = $this->liquid($errors, 'keptBrine', $typed['keptBrine'] ?? null, FoodMeasures::liquid('', 1.0));
        $food =
            $source !== null
                ? self::blended($source)
                : ($vegetable === null
                    ? null
                    : self::inParts(
                        $errors,
                        $typed,
                        $vegetable->produce()->cut(self::cut($typed, $method, $vegetable->shape)),
                    ));
        $errors->throwIfAny();
        assert($food !== null && $salt !== null && $packing !== null && $target !== null);

        $rinse = $typed['rinseSeconds'] ?? $method->profile()->preparation->rinse?->value;

        return new ParsedBench(
            new BenchInput(
                $method,
                $food,
                $weight === null ? null : Grams::of($weight->typical),
                array_map(static fn(Jar $jar) => $jar->geometry(), $jars),
                $packing,
                new SaltChoice($salt->product(), SaltUnit::from($typed['saltUnit']), $spoons, $target),
                $serving,
                Celsius::of((float) ($typed['roomCelsius'] ?? Soak::ROOM_CELSIUS)),
                $alongside,
                $paste,
                $water,
                $brine,
                $starter,
                new Pretreatment(
                    isset($typed['saltingMinutes'])
                        ? Seconds::of($typed['saltingMinutes'] * 60.0)
                        : $method->profile()->preparation->salting,
                    $rinse === null || $method === Method::SaltAndDrain ? null : Seconds::of((float) $rinse),
                    $typed['isSqueezed'] ?? $method->profile()->preparation->rinse !== null,
                ),
                $source === null
                    ? null
                    : new BlendSource(Ledgers::of($source, $at), $kept, $typed['isHeated'] ?? false),
                $weight?->isExact() === false ? $weight : null,
                $poured,
            ),
            $source === null ? $vegetable->colour ?? '#b9ab99' : $source->colour,
            $jars,
            $lender,
            $lendable,
            $source,
            $holdDown,
        );
    }

    /**
     * What went in of the food: what did not fit stays out.
     *
     * @param  Typed  $typed
     */
    private function withoutLeftOut(FieldErrors $errors, array $typed, Band $weight, MeasuredFood $food): Band
    {
        $left = $this->weight($errors, 'leftOutAmount', $typed['leftOutAmount'] ?? null, $food);
        if ($left === null) {
            return $weight;
        }
        if ($left->typical >= $weight->typical) {
            $errors->add('leftOutAmount', Message::of('errors.left_out_all'));

            return $weight;
        }

        return Band::of(
            max(0.1, $weight->low - $left->high),
            $weight->typical - $left->typical,
            max($weight->typical - $left->typical, $weight->high - $left->low),
        );
    }

    /**
     * What can be the main food: a vegetable; for what is stirred together anything.
     *
     * @return Builder<Ingredient>
     */
    private static function eaten(Method $method): Builder
    {
        return Ingredient::query()->when(
            !$method->isMixed(),
            static fn(Builder $query) => $query->where('use', 'vegetable'),
        );
    }

    /** @param  Typed  $typed */
    private static function cut(array $typed, Method $method, PieceShape $usual): PieceShape
    {
        return $method->served() === Served::Sauce
            ? PieceShape::Pulp
            : PieceShape::tryFrom($typed['shape'] ?? '') ?? $usual;
    }

    /**
     * The food with the parts of it that are cut otherwise: leaf and rib, cut and whole.
     *
     * @param  Typed  $typed
     */
    private static function inParts(FieldErrors $errors, array $typed, Produce $food): Produce
    {
        $cuts = $typed['cuts'] ?? [];
        if ($cuts === [] || $food->shape === PieceShape::Pulp) {
            return $food;
        }
        $sum = array_sum(array_map(static fn(array $one): float => (float) $one['percent'], $cuts));
        if (abs($sum - 100.0) > 0.5) {
            $errors->add('cuts', Message::of('errors.cuts_percent'));

            return $food;
        }

        return $food->inParts(
            array_values(
                array_map(
                    static fn(array $one): CutShare => new CutShare(
                        PieceShape::from($one['shape']),
                        (float) $one['percent'] / $sum,
                        isset($one['reachMm']) ? Band::exact((float) $one['reachMm']) : null,
                    ),
                    array_filter($cuts, static fn(array $one): bool => (float) $one['percent'] > 0.0),
                ),
            ),
        );
    }

    /** A batch as what a sauce is made of. */
    private static function blended(Batch $source): Produce
    {
        return new Produce(
            "batch-{$source->id}",
            $source->name,
            100.0,
            Band::exact(0.0),
            $source->density_g_per_ml,
            PieceShape::Pulp,
        );
    }

    /**
     * @param  Typed  $typed
     * @return list<Jar>
     */
    private static function jars(FieldErrors $errors, array $typed): array
    {
        $jars = [];
        foreach (array_filter([$typed['jarId'] ?? null, ...$typed['moreJarIds'] ?? []]) as $i => $id) {
            $jar = self::row($errors, $i === 0 ? 'jarId' : 'moreJarIds', Jar::query()->find($id), 'jar');
            if ($jar !== null) {
                $jars[] = $jar;
            }
        }

        return $jars;
    }

    /** @param  Typed  $typed */
    private function wish(FieldErrors $errors, array $typed, Method $method, Salt $row): ?SaltTarget
    {
        $salt = $row->product();
        $fixed = $typed['fixed'] ?? 'strength';
        $basis = SaltBasis::from($typed['strengthBasis']);
        $unit = SaltUnit::from($typed['saltUnit']);
        $isOptional = $method->isMixed() || $method === Method::Transform || $method === Method::ReusedBrine;
        $share = in_array($fixed, ['strength', 'both'], true)
            ? $errors->reading(
                'strengthPercent',
                fn(): array => $this->strength((string) ($typed['strengthPercent'] ?? ''), $row),
            )
            : null;
        // "1 tbsp per quart" says itself what it is a share of.
        [$share, $said] = $share ?? [null, null];
        $basis = match ($said) {
            'water' => $method->hasPouredBrine() || $method === Method::ReusedBrine ? SaltBasis::OfWater : $basis,
            'vegetable' => SaltBasis::OfVegetable,
            default => $basis,
        };
        $dose = match (true) {
            !in_array($fixed, ['salt', 'both'], true) => null,
            $isOptional && trim((string) ($typed['saltAmount'] ?? '')) === '' => SaltDose::weighed(
                $salt,
                Grams::zero(),
            ),
            default => $errors->reading(
                'saltAmount',
                fn(): SaltDose => $this->dose($typed['saltAmount'] ?? '', $unit, $salt),
            ),
        };
        if ($fixed === 'sodium') {
            $milligrams = $errors->reading(
                'sodiumWanted',
                static fn(): float => self::milligrams($typed['sodiumWanted'] ?? ''),
            );

            return $milligrams === null ? null : SaltTarget::sodium($milligrams, $basis);
        }
        if ($fixed === 'taste') {
            $doses = [];
            foreach ($typed['tastings'] ?? [] as $i => $pinch) {
                $pinch = trim((string) $pinch);
                $doses[] =
                    $pinch === ''
                        ? null
                        : $errors->reading("tastings.{$i}", fn(): SaltDose => $this->dose($pinch, $unit, $salt));
            }

            return SaltTarget::amount($basis, ...array_values(array_filter($doses)));
        }

        return match ($fixed) {
            'strength' => $share === null ? null : SaltTarget::strength($share, $basis),
            'both' => $share === null || $dose === null ? null : SaltTarget::amountAtStrength($dose, $share, $basis),
            default => $dose === null ? null : SaltTarget::amount($basis, $dose),
        };
    }

    /**
     * @param  list<array{foodId: string, amount?: string|null}>|null  $typed
     * @return list<IngredientAmount>
     */
    private function parts(FieldErrors $errors, string $field, ?array $typed): array
    {
        $typed ??= [];
        $foods = Ingredient::query()->find(array_column($typed, 'foodId'))->keyBy('id');
        $parts = [];
        foreach ($typed as $i => $part) {
            $amount = trim((string) ($part['amount'] ?? ''));
            $food =
                $amount === ''
                    ? null
                    : self::row($errors, "{$field}.{$i}.foodId", $foods->get($part['foodId']), 'food');
            $amount =
                $food === null
                    ? null
                    : $this->weight($errors, "{$field}.{$i}.amount", $amount, FoodMeasures::ofFood($food));
            if ($food !== null && $amount !== null) {
                $parts[] = new IngredientAmount($food->produce(), $amount);
            }
        }

        return $parts;
    }

    /**
     * @param  Typed  $typed
     * @return array{Starter|null, Batch|null, float|null} the starter, whose it is, and how many grams there are
     */
    private function starter(FieldErrors $errors, array $typed, Method $method, CarbonImmutable $at): array
    {
        $fromBatch = $typed['starterBatchId'] ?? null;
        $fromPantry = $typed['starterId'] ?? null;
        if ($fromBatch === null && $fromPantry === null) {
            return [null, null, null];
        }
        $batch =
            $fromBatch === null
                ? null
                : self::row($errors, 'starterBatchId', Batch::query()->with('entries')->find($fromBatch), 'batch');
        $pantry =
            $fromBatch !== null
                ? null
                : self::row(
                    $errors,
                    'starterId',
                    Ingredient::query()->where('use', 'starter')->find($fromPantry),
                    'starter',
                );
        if ($batch === null && $pantry === null) {
            return [null, null, null];
        }

        $liquid = $pantry?->produce() ?? self::brineOf($batch, $at);
        if ($liquid === null) {
            $errors->add('starterBatchId', Message::of('errors.no_brine'));

            return [null, null, null];
        }
        $isOpen = trim((string) ($typed['starterAmount'] ?? '')) === '';
        $grams =
            $isOpen && $method === Method::ReusedBrine
                ? Grams::zero()
                : $this->liquid(
                    $errors,
                    'starterAmount',
                    $typed['starterAmount'] ?? null,
                    $pantry === null
                        ? FoodMeasures::liquid($liquid->name, $liquid->density)
                        : FoodMeasures::ofFood($pantry),
                );
        if ($grams === null) {
            if ($isOpen) {
                $errors->add('starterAmount', Message::of('errors.starter_amount'));
            }

            return [null, null, null];
        }
        $state = $batch === null ? null : Ledgers::of($batch, $at)->state();

        return [new Starter($liquid, $grams, null, $batch?->id), $batch, $state?->phase($state->liquid())->weightG()];
    }

    /** The brine of a batch as it is at a moment, as an ingredient; null when it has none. */
    private static function brineOf(?Batch $batch, CarbonImmutable $at): ?Produce
    {
        try {
            return $batch === null ? null : Ledgers::lent($batch, $at);
        } catch (NotEnough) {
            return null;
        }
    }

    /**
     * @template M of Model
     *
     * @param  M|null  $row
     * @return M|null
     */
    private static function row(FieldErrors $errors, string $field, ?Model $row, string $name): ?Model
    {
        if ($row === null) {
            $errors->add($field, Message::of("errors.no_such_{$name}"));
        }

        return $row;
    }

    private function weight(FieldErrors $errors, string $field, ?string $typed, MeasuredFood $food): ?Band
    {
        return trim((string) $typed) === ''
            ? null
            : $errors->reading($field, fn(): Band => $this->amounts->weight((string) $typed, $food));
    }

    /** A liquid, by weight or by volume. */
    private function liquid(FieldErrors $errors, string $field, ?string $typed, MeasuredFood $liquid): ?Grams
    {
        return trim((string) $typed) === ''
            ? null
            : $errors->reading(
                $field,
                fn(): Grams => Grams::of($this->amounts->orNothing((string) $typed, $liquid)->typical),
            );
    }

    private function volume(FieldErrors $errors, string $field, ?string $typed): ?Millilitres
    {
        return trim((string) $typed) === ''
            ? null
            : $errors->reading($field, function () use ($typed): Millilitres {
                $read = $this->amounts->read((string) $typed);

                return $read->unit === 'ml'
                    ? Millilitres::of($read->band->typical)
                    : throw new InvalidQuantity(Message::of('errors.brine_volume'));
            });
    }

    /** @throws InvalidQuantity */
    private static function milligrams(?string $typed): float
    {
        $text = str_replace(',', '.', trim((string) preg_replace('/\s*mg\s*$/i', '', (string) $typed)));
        if (!is_numeric($text) || (float) $text <= 0.0 || (float) $text > 20_000.0) {
            throw new InvalidQuantity(Message::of('errors.sodium_range'));
        }

        return (float) $text;
    }

    /**
     * @return array{float, string|null} the share, and of what it is one where that was said
     *
     * @throws InvalidQuantity
     */
    private function strength(string $typed, Salt $salt): array
    {
        [$percent, $basis] = $this->amounts->strength($typed, $salt);
        if ($percent < 0.0 || $percent > 100.0) {
            throw new InvalidQuantity(Message::of('errors.strength_range'));
        }

        return [$percent / 100.0, $basis];
    }

    /** @throws InvalidQuantity */
    private function dose(string $typed, SaltUnit $unit, SaltProduct $salt): SaltDose
    {
        if ($unit === SaltUnit::Spoons && is_numeric(str_replace(',', '.', trim($typed)))) {
            throw new InvalidQuantity(Message::of('errors.spoon_unit'));
        }
        $read = $this->amounts->read($typed, FoodMeasures::salt($salt));

        return match (true) {
            $read->unit !== 'g' => throw new InvalidQuantity(Message::of('errors.amount_is_share', said: $read->said)),
            $read->levelMl !== null => SaltDose::spooned(
                $salt,
                Millilitres::of($read->levelMl),
                SpoonFill::tryFrom($read->fill) ?? SpoonFill::Level,
            ),
            default => SaltDose::said($salt, $read->band),
        };
    }
}
