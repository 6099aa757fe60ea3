<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

enum TokenKind
{
    case Number;
    case Fraction;
    case Word;
    case Sign;
}
