<?php

declare(strict_types=1);

namespace Tempesal\Core\Estimate;

/**
 * The end of its band at which an input is held.
 */
enum Side
{
    case Low;
    case High;
}
