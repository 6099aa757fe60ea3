<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Ledger\Ledger;

/**
 * Asked backwards: what would bring a batch, or a serving of it, to a wanted number.
 */
interface InverseQuestion
{
    /** @throws InvalidField */
    public static function read(Fields $fields): self;

    public function answer(Ledger $ledger): InverseAnswer;
}
