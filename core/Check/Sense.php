<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

/**
 * With what one looks into a jar.
 */
enum Sense: string
{
    case Eye = 'eye';
    case Nose = 'nose';
    case Touch = 'touch';
}
