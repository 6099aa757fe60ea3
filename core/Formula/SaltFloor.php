<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Salt\Basis;

/**
 * The least salt a method should have, because salt is part of the safety: common practice, no source, but for kraut,
 * where published recipes come to about 2.4 % of the vegetable.
 */
final class SaltFloor
{
    /** @return array{Basis, float} the basis on which it is said, and the share */
    public static function of(Method $method): array
    {
        return match ($method) {
            Method::DrySalting, Method::Mash => [Basis::OfVegetable, 0.02],
            Method::PouredBrine => [Basis::OfWater, 0.02],
            Method::QuickSaltPickle => [Basis::OfWater, 0.10],
            Method::KimchiSoaked => [Basis::OfWater, 0.05],
            Method::KimchiDrySalted, Method::SaltAndDrain => [Basis::OfVegetable, 0.015],
            Method::EquilibriumBrine, Method::ReusedBrine => [Basis::OfEverything, 0.01],
            Method::CulturedCondiment, Method::Transform => [Basis::OfEverything, 0.005],
        };
    }
}
