<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Batch;
use App\Models\Household;
use App\Support\InvalidInput;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\ServingStyle;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Message\Message;

/**
 * From which jar something is served, in which way and when.
 */
final readonly class ServedFrom
{
    /**
     * @param  Served|null  $served  null: what is usually served from such a batch
     * @param  ServingMoment  $when  it was eaten; the jar is taken as it was then
     * @param  CarbonImmutable|null  $at  the very moment, where it is known
     * @param  bool  $isCooked  whether it was cooked or eaten hot: nothing in it is live then
     */
    public function __construct(
        public string $batchId,
        public ServingMoment $when,
        public ServingStyle $way = ServingStyle::Drained,
        public ?Served $served = null,
        public ?CarbonImmutable $at = null,
        public bool $isCooked = false,
    ) {}

    public function at(?CarbonImmutable $at): self
    {
        return new self($this->batchId, $this->when, $this->way, $this->served, $at, $this->isCooked);
    }

    /**
     * The moment at which it leaves the jar.
     *
     * @throws ValidationException at "eatenOn" or "eatenAt" where the jar cannot have been there, at "batchId" where
     *     it holds no food
     */
    public function moment(Batch $batch, Household $household): CarbonImmutable
    {
        if (!$batch->method->isFood()) {
            throw InvalidInput::at('batchId', Message::of('errors.not_food'));
        }

        return $this->at ?? $this->when->in($batch, $household);
    }
}
