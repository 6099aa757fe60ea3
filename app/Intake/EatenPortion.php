<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Serving;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;

/**
 * What a day needs to know of a portion that was eaten on it.
 *
 * @phpstan-type Kept array{string, bool, bool, float|int, float|int, float|int, float|int, int}
 */
final readonly class EatenPortion
{
    /**
     * @param  bool  $isCondiment  or brine; otherwise pieces
     * @param  int  $at  seconds since 1970
     */
    private function __construct(
        public string $batchId,
        public bool $isCondiment,
        public bool $isLive,
        public float $grams,
        public Band $sodiumMg,
        public int $at,
    ) {}

    /** @param  Serving  $serving  with its entry */
    public static function of(Serving $serving): self
    {
        return new self(
            $serving->batch_id,
            $serving->phase->phase() !== Phase::Pieces,
            $serving->is_live,
            $serving->grams,
            $serving->sodium(),
            $serving->entry->happened_at->getTimestamp(),
        );
    }

    /** @param  Kept  $kept */
    public static function read(array $kept): self
    {
        [$batchId, $isCondiment, $isLive, $grams, $low, $typical, $high, $at] = $kept;

        return new self(
            $batchId,
            $isCondiment,
            $isLive,
            (float) $grams,
            Band::of((float) $low, (float) $typical, (float) $high),
            $at,
        );
    }

    /** @return Kept */
    public function toKeep(): array
    {
        return [
            $this->batchId,
            $this->isCondiment,
            $this->isLive,
            $this->grams,
            $this->sodiumMg->low,
            $this->sodiumMg->typical,
            $this->sodiumMg->high,
            $this->at,
        ];
    }
}
