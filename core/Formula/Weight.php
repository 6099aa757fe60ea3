<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

/**
 * How much a piece of advice matters.
 */
enum Weight: string
{
    /** Good to know. */
    case Note = 'note';
    /** The batch may turn out worse for it. */
    case Careful = 'careful';
    /** It cannot work, or someone could be harmed. */
    case Stop = 'stop';
}
