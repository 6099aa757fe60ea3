<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;

/**
 * The batch is heated to keep it as it is. It is no longer live.
 */
final readonly class Heat implements Entry
{
    public static function kind(): string
    {
        return 'heat';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        return $state->heated();
    }

    public static function read(Fields $fields): self
    {
        return new self();
    }

    public function toArray(): array
    {
        return ['kind' => self::kind()];
    }
}
