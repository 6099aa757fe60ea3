<?php

declare(strict_types=1);

namespace Tempesal\Core\Process;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Ledger\Entry;

/**
 * A method as it is carried out: from what goes in to the entries it makes in the ledger.
 */
interface Process
{
    /**
     * Reads the process from its documented form.
     *
     * @throws InvalidField
     */
    public static function read(Fields $fields): self;

    /** @return non-empty-list<Entry> in the order of the work */
    public function entries(): array;
}
