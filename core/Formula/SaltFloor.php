<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Salt\Basis;

/**
 * The least salt a method should have, and the marks above it, because salt is part of the safety: common practice, no source, but for kraut,
 * where published recipes come to about 2.4 % of the vegetable.
 */
final class SaltFloor
{
    /** Salt of everything in the jar below which nothing should ferment. */
    public const FERMENTING = 0.01;

    /** Salt of everything above which it ferments slowly. */
    public const SLOW = 0.05;

    /** Salt of everything above which it hardly ferments at all. */
    public const LARDER = 0.10;

    /** @return array{Basis, float} the basis on which it is said, and the share */
    public static function of(Method $method): array
    {
        return match ($method) {
            Method::DrySalting, Method::Mash => [Basis::OfVegetable, 0.02],
            Method::PouredBrine => [Basis::OfWater, 0.02],
            Method::QuickSaltPickle => [Basis::OfWater, 0.10],
            Method::KimchiSoaked => [Basis::OfWater, 0.05],
            Method::KimchiDrySalted, Method::SaltAndDrain => [Basis::OfVegetable, 0.015],
            Method::EquilibriumBrine, Method::ReusedBrine => [Basis::OfEverything, self::FERMENTING],
            Method::CulturedCondiment, Method::Transform => [Basis::OfEverything, 0.005],
            Method::Bought => [Basis::OfEverything, 0.0],
        };
    }
}
