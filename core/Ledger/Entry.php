<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Point;

/**
 * One thing that was done to a batch.
 */
interface Entry
{
    /** The word for it in Tempesal's formats, for example "add". */
    public static function kind(): string;

    /** The batch after it.
     *
     * @throws NotEnough when it takes more than there is
     */
    public function applyTo(BatchState $state, Point $point): BatchState;

    /**
     * Reads the entry from its documented form.
     *
     * @throws InvalidField
     */
    public static function read(Fields $fields): self;

    /** @return array<string, mixed> the documented form, "kind" included */
    public function toArray(): array;
}
