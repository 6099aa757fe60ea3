<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Exchange;

/**
 * The jar rests until pieces and brine hold the same sodium per gram of water.
 */
final readonly class Rest implements Entry
{
    /** @param  float  $partition  K, by how much the pieces hold more or less than that; 1 unless known better */
    public function __construct(public float $partition = 1.0)
    {
    }

    public static function kind(): string
    {
        return 'rest';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        return Exchange::towards($state, 1.0, $this->partition);
    }

    public static function read(Fields $fields): self
    {
        return new self($fields->number('partition', 1.0));
    }

    public function toArray(): array
    {
        return ['kind' => self::kind(), 'partition' => $this->partition];
    }
}
