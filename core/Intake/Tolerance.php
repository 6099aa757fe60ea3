<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

/**
 * How a kind of cultures sits with someone, in their own judgement.
 */
enum Tolerance: string
{
    case Well = 'well';
    case Little = 'little';
    /** It is not planned for them. */
    case NotNow = 'not_now';
}
