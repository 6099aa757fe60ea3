<?php

declare(strict_types=1);

namespace App\Household;

use LogicException;

/**
 * A household's rows were asked for without saying whose: always a defect, never an empty answer.
 */
final class MissingHousehold extends LogicException
{
    public function __construct()
    {
        parent::__construct('A query on household rows ran without a household.');
    }
}
