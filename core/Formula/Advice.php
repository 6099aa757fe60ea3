<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

/**
 * Something the cook should know before going on. It never stops anyone.
 */
final readonly class Advice
{
    /**
     * @param  string  $code  stable word for it, for example "below_floor"
     * @param  string  $text  what is the matter and what would help
     */
    public function __construct(public string $code, public Weight $weight, public string $text)
    {
    }
}
