<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

/**
 * As what a phrase was read.
 */
enum ReadingKind: string
{
    case Mass = 'mass';
    case Volume = 'volume';
    case Count = 'count';
    case Share = 'share';
    case Ratio = 'ratio';
    case Length = 'length';
    case Temperature = 'temperature';
    case Duration = 'duration';
    case Unmeasured = 'unmeasured';
}
