<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

/**
 * How the cook measures salt.
 */
enum SaltUnit: string
{
    case Grams = 'grams';
    case Spoons = 'spoons';
}
