<?php

declare(strict_types=1);

namespace App\Actions;

use App\Care\BatchStatus;
use App\Household\CurrentHousehold;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Household;
use App\Models\Person;
use App\Views\BatchView;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Making\Step;

/**
 * What a change of a batch would do: it is made, looked at, and left unmade.
 */
final readonly class PreviewEntry
{
    public function __construct(
        private RecordEntry $write,
        private ReverseEntry $reverse,
        private WorkStep $work,
        private CurrentHousehold $current,
    ) {}

    /**
     * @param  array<string, mixed>  $documented
     * @return array{before: array<string, mixed>, after: array<string, mixed>}
     *
     * @throws ValidationException
     */
    public function __invoke(string $batchId, array $documented, ?CarbonImmutable $at): array
    {
        return $this->tried($batchId, fn() => ($this->write)($batchId, $documented, $at, (string) Str::ulid()));
    }

    /**
     * What taking an entry back would do.
     *
     * @return array{before: array<string, mixed>, after: array<string, mixed>}
     *
     * @throws ValidationException
     */
    public function reversal(string $batchId, string $entryId): array
    {
        return $this->tried($batchId, fn() => ($this->reverse)($batchId, $entryId));
    }

    /**
     * What a step of the making would do.
     *
     * @param  callable(Step): Step  $how
     * @return array{before: array<string, mixed>, after: array<string, mixed>}
     *
     * @throws ValidationException
     */
    public function step(string $batchId, string $stepId, callable $how, string $requestKey): array
    {
        return $this->tried($batchId, fn() => $this->work->done($batchId, $stepId, null, $how, $requestKey));
    }

    /**
     * @param  Closure(): mixed  $change
     * @return array{before: array<string, mixed>, after: array<string, mixed>}
     */
    private function tried(string $batchId, Closure $change): array
    {
        DB::beginTransaction();
        try {
            // In the order in which changes lock, so that a preview and a change never wait for each other.
            Household::query()->lockForUpdate()->findOrFail($this->current->id());
            $before = $this->look($batchId);
            $change();

            return ['before' => $before, 'after' => $this->look($batchId)];
        } finally {
            DB::rollBack();
        }
    }

    /** @return array<string, mixed> */
    private function look(string $batchId): array
    {
        $batch = Batch::whole()->findOrFail($batchId);
        $ledger = Ledgers::of($batch);

        return BatchView::numbers(BatchStatus::of($batch, $ledger, $this->current->get()), $ledger, Person::atTable());
    }
}
