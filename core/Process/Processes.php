<?php

declare(strict_types=1);

namespace Tempesal\Core\Process;

use LogicException;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Method\Method;

/**
 * Every process by its method.
 */
final class Processes
{
    /** @throws InvalidField when the method is unknown or one of its fields is wrong */
    public static function read(Fields $fields): Process
    {
        return match (Method::read($fields)) {
            Method::DrySalting => DrySalting::read($fields),
            Method::PouredBrine, Method::EquilibriumBrine => PouredBrine::read($fields),
            Method::Mash => Mash::read($fields),
            Method::KimchiDrySalted, Method::KimchiSoaked, Method::SaltAndDrain => SaltedAndDressed::read($fields),
            Method::QuickSaltPickle => QuickSaltPickle::read($fields),
            Method::CulturedCondiment, Method::MilkAndSweet => CulturedCondiment::read($fields),
            Method::ReusedBrine => ReusedBrine::read($fields),
            Method::Transform => Transform::read($fields),
            Method::Bought, Method::SpareBrine => throw new LogicException('What is not made is no process.'),
        };
    }
}
