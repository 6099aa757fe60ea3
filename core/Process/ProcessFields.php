<?php

declare(strict_types=1);

namespace Tempesal\Core\Process;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Salt\EmptyBasis;
use Tempesal\Core\Salt\JarContents;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Salt\SaltDose;
use Tempesal\Core\Salt\SaltProduct;

/**
 * Reading what several processes have in common.
 */
final class ProcessFields
{
    /**
     * The salt as it was given: weighed, spooned, or as a share of what it goes on.
     *
     * @param  list<IngredientAmount>  $vegetables
     * @param  list<IngredientAmount>  $others
     * @param  Starter|null  $starter  that goes in with it: its weight counts, and the salt that it brings
     *
     * @throws InvalidField
     */
    public static function salt(
        Fields $fields,
        Method $method,
        array $vegetables,
        ?Grams $water = null,
        array $others = [],
        ?Starter $starter = null,
    ): SaltDose {
        $salt = $fields->child('salt');
        if (!$salt->has('share')) {
            return SaltDose::read($salt);
        }
        $share = $salt->share('share');
        $brought = $starter === null ? null : $starter->liquid->masses($starter->grams->value, Point::typical());
        $contents = new JarContents(
            Grams::zero(),
            Grams::of(IngredientAmount::sum($vegetables)),
            $water ?? Grams::zero(),
            Grams::of(IngredientAmount::sum($others) + ($brought === null ? 0.0 : $brought->waterG + $brought->otherG)),
        );
        try {
            $grams = $contents->saltFor(
                $share,
                $salt->choice('basis', SaltBasis::class, $method->profile()->salting->basis),
            );
        } catch (EmptyBasis $refusal) {
            throw $salt->invalid('basis', $refusal->explanation());
        }

        return SaltDose::weighed(
            SaltProduct::read($salt->child('product')),
            Grams::of(max(0.0, $grams->value - SodiumChloride::gramsFor($brought->sodiumMg ?? 0.0))),
        );
    }

    /**
     * The parts of a documented process in which a method lists its foods, the main one first.
     *
     * @return non-empty-list<string>
     */
    public static function lists(Method $method): array
    {
        return match ($method) {
            Method::CulturedCondiment, Method::MilkAndSweet => ['base'],
            Method::Transform => ['additions'],
            Method::KimchiDrySalted, Method::KimchiSoaked => ['vegetables', 'paste'],
            Method::SaltAndDrain => ['vegetables', 'alongside', 'paste'],
            default => ['vegetables'],
        };
    }

    /** @throws InvalidField */
    public static function starter(Fields $fields): ?Starter
    {
        return $fields->has('starter') ? Starter::read($fields->child('starter')) : null;
    }

    /**
     * The ferment as it was given; from now on when it was not.
     *
     * @throws InvalidField
     */
    public static function ferment(Fields $fields): Soak
    {
        return $fields->has('ferment') ? self::soak($fields->child('ferment'), 'ferment') : Soak::fromNowOn();
    }

    /** @throws InvalidField */
    public static function soak(Fields $fields, string $word): Soak
    {
        return Soak::read($fields)->called($word);
    }
}
