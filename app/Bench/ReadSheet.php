<?php

declare(strict_types=1);

namespace App\Bench;

use App\Household\CurrentHousehold;
use App\Models\Batch;
use App\Models\Ingredient;
use App\Models\Jar;
use App\Models\Salt;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Formula\Method;
use Tempesal\Core\Formula\SaltUnit;
use Tempesal\Core\Formula\Sheet;
use Tempesal\Core\Jar\Packing;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Lending;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\KitchenAmount;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Measure\SpoonSystem;
use Tempesal\Core\Measure\Term;
use Tempesal\Core\Measure\VolumeUnit;
use Tempesal\Core\Produce\Ingredient as Produce;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\Basis;
use Tempesal\Core\Salt\BrineTable;
use Tempesal\Core\Salt\SaltDose;
use Tempesal\Core\Salt\SaltProduct;

/**
 * Turns what was typed at the bench into a sheet for the core. Amounts are read as kitchens write them;
 * everything that cannot be read is named beside its field.
 *
 * @phpstan-import-type Typed from BenchFields
 */
final class ReadSheet
{
    public function __construct(private readonly CurrentHousehold $current)
    {
    }

    /**
     * @param  Typed  $typed
     * @param  CarbonImmutable|null  $at  the moment at which another jar lends its brine; null: now
     *
     * @throws ValidationException
     */
    public function __invoke(array $typed, ?CarbonImmutable $at = null): BenchOrder
    {
        $errors = new FieldErrors;
        $spoons = $this->current->get()->spoon_system;
        $method = Method::from($typed['method']);

        $vegetable = self::row($errors, 'vegetableId', Ingredient::query()->where('use', 'vegetable')->find($typed['vegetableId']), 'vegetable');
        $salt = self::row($errors, 'saltId', Salt::query()->find($typed['saltId']), 'salt');
        $jar = ($typed['jarId'] ?? null) === null ? null : self::row($errors, 'jarId', Jar::query()->find($typed['jarId']), 'jar');

        $weight = self::weight($errors, 'vegetableAmount', $typed['vegetableAmount'] ?? null, $spoons);
        $water = self::liquid($errors, 'waterAmount', $typed['waterAmount'] ?? null, $spoons, BrineTable::density(0.0));
        $serving = self::weight($errors, 'servingAmount', $typed['servingAmount'] ?? null, $spoons) ?? Grams::of(BenchFields::USUAL_SERVING_G);
        $share = $errors->reading('strengthPercent', static fn (): float => self::percent($typed['strengthPercent'] ?? null));
        $packing = $errors->reading('headspaceMm', static fn (): Packing => new Packing(
            isset($typed['headspaceMm']) ? Millimetres::of((float) $typed['headspaceMm']) : $method->usualHeadspace(),
            Millilitres::of((float) ($typed['weightMl'] ?? 0.0)),
        ));
        $dose = null;
        if (($typed['fixed'] ?? 'strength') === 'salt' && $salt !== null) {
            $dose = $errors->reading('saltAmount', static fn (): SaltDose => self::dose($typed['saltAmount'] ?? '', SaltUnit::from($typed['saltUnit']), $salt->product(), $spoons));
        }
        [$starter, $starterBatch] = $this->starter($errors, $typed, $spoons, $at ?? CarbonImmutable::now());
        $errors->throwIfAny();
        assert($vegetable !== null && $salt !== null && $packing !== null && $share !== null);

        return new BenchOrder(
            new Sheet(
                $method, $vegetable->produce(), $weight,
                PieceShape::tryFrom($typed['shape'] ?? '') ?? ($method === Method::Mash ? PieceShape::Pulp : $vegetable->shape),
                $jar?->geometry(), $packing, $salt->product(), SaltUnit::from($typed['saltUnit']), $spoons, $dose,
                $share, Basis::from($typed['strengthBasis']), $water, $starter, $serving,
            ),
            $vegetable, $jar, $starterBatch,
        );
    }

    /**
     * @param  Typed  $typed
     * @return array{Starter|null, Batch|null}
     */
    private function starter(FieldErrors $errors, array $typed, SpoonSystem $spoons, CarbonImmutable $at): array
    {
        $fromBatch = $typed['starterBatchId'] ?? null;
        $fromPantry = $typed['starterId'] ?? null;
        if ($fromBatch === null && $fromPantry === null) {
            return [null, null];
        }
        $batch = $fromBatch === null ? null : self::row($errors, 'starterBatchId', Batch::query()->with('entries')->find($fromBatch), 'batch');
        $pantry = $fromBatch !== null ? null : self::row($errors, 'starterId', Ingredient::query()->where('use', 'starter')->find($fromPantry), 'starter');
        if ($batch === null && $pantry === null) {
            return [null, null];
        }

        $liquid = $pantry?->produce() ?? self::brineOf($batch, $at);
        if ($liquid === null) {
            $errors->add('starterBatchId', 'That batch has no brine to give.');

            return [null, null];
        }
        $grams = self::liquid($errors, 'starterAmount', $typed['starterAmount'] ?? null, $spoons, $liquid->density);
        if ($grams === null) {
            if (($typed['starterAmount'] ?? '') === '') {
                $errors->add('starterAmount', 'Say how much starter, for example 2 tbsp.');
            }

            return [null, null];
        }
        $state = $batch?->ledger($at)->state();
        $there = $state?->phase($state->liquid())->weightG();
        if ($there !== null && $grams->value > $there) {
            $errors->add('starterAmount', sprintf('Only %d g of brine are left in %s.', (int) floor($there), $batch->name ?? ''));
        }

        return [new Starter($liquid, $grams, Phase::Brine, $batch?->id), $batch];
    }

    /** The brine of a batch as it is at a moment, as an ingredient; null when it has none. */
    private static function brineOf(?Batch $batch, CarbonImmutable $at): ?Produce
    {
        try {
            return $batch === null ? null : Lending::from($batch->id, $batch->name, $batch->ledger($at))->liquid();
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
            $errors->add($field, "There is no such {$name} in your kitchen.");
        }

        return $row;
    }

    private static function weight(FieldErrors $errors, string $field, ?string $typed, SpoonSystem $spoons): ?Grams
    {
        return trim((string) $typed) === '' ? null : $errors->reading($field, static function () use ($typed, $spoons): Grams {
            $grams = KitchenAmount::parse((string) $typed, $spoons)->grams();

            return $grams->isZero() ? throw new InvalidQuantity('More than nothing is needed here.') : $grams;
        });
    }

    /** A liquid by weight or by volume; a bare number counts as grams. */
    private static function liquid(FieldErrors $errors, string $field, ?string $typed, SpoonSystem $spoons, float $density): ?Grams
    {
        return trim((string) $typed) === '' ? null : $errors->reading($field, static function () use ($typed, $spoons, $density): Grams {
            $amount = KitchenAmount::parse((string) $typed, $spoons);

            return $amount->isVolume() ? Grams::of($amount->millilitres()->value * $density) : $amount->grams();
        });
    }

    /** @throws InvalidQuantity */
    private static function percent(string|int|float|null $typed): float
    {
        $text = str_replace(',', '.', trim(rtrim(trim((string) $typed), '%')));
        if (! is_numeric($text) || ! is_finite((float) $text)) {
            throw new InvalidQuantity(sprintf('"%s" is not a percentage; write it like 2.5.', mb_strimwidth((string) $typed, 0, 20, '…')));
        }
        if ((float) $text < 0.0 || (float) $text > 100.0) {
            throw new InvalidQuantity('A strength lies between 0 and 100 %.');
        }

        return (float) $text / 100.0;
    }

    /** @throws InvalidQuantity */
    private static function dose(string $typed, SaltUnit $unit, SaltProduct $salt, SpoonSystem $spoons): SaltDose
    {
        $amount = KitchenAmount::parse($typed, $spoons);
        if ($amount->isBare() && $unit === SaltUnit::Spoons) {
            throw new InvalidQuantity('Say which spoon: tsp or tbsp.');
        }
        if (! $amount->isVolume()) {
            return SaltDose::weighed($salt, $amount->grams());
        }
        $fills = array_values(array_unique(array_map(static fn (Term $term) => $term->fill, $amount->terms), SORT_REGULAR));
        if (count($fills) > 1) {
            throw new InvalidQuantity('Use one kind of spoonful: all level, or all heaped.');
        }
        $volume = array_sum(array_map(static fn (Term $term): float => $term->unit instanceof VolumeUnit ? $term->amount * $term->unit->millilitres() : 0.0, $amount->terms));

        return SaltDose::spooned($salt, Millilitres::of($volume), $fills[0]);
    }
}
