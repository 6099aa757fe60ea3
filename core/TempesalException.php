<?php

declare(strict_types=1);

namespace Tempesal\Core;

use Throwable;

/**
 * Everything that the core throws on purpose. Its message is a sentence for the cook.
 */
interface TempesalException extends Throwable
{
}
