<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

/**
 * What a field asks for.
 */
enum FieldKind: string
{
    case Amount = 'amount';
    case Strength = 'strength';
    case Length = 'length';
    case Temperature = 'temperature';
    case Duration = 'duration';
}
