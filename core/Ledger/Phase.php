<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

/**
 * The parts of a batch that hold salt. A mash, sauce or paste is one phase; everything else is pieces in brine.
 */
enum Phase: string
{
    case Pieces = 'pieces';
    case Brine = 'brine';
    case Sauce = 'sauce';
}
