<?php

declare(strict_types=1);

namespace Tempesal\Core;

use Tempesal\Core\Message\Message;
use Throwable;

/**
 * Everything that the core throws on purpose, with what to tell the cook.
 */
interface TempesalException extends Throwable
{
    public function explanation(): Message;
}
