<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\HouseholdTransaction;
use App\Household\IdempotencyKey;
use App\Models\Batch;
use App\Models\ChoreMark;
use App\Support\WhenDone;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Care\Task;

/**
 * Says of chores that they are done, or puts them off. Twice is once.
 */
final readonly class MarkChores
{
    /** How long a chore can be put off. */
    private const LONGEST_DAYS = 14;

    public function __construct(private HouseholdTransaction $transaction) {}

    /** They were not done after all. */
    public function unmark(string $markId): void
    {
        ($this->transaction)(static function () use ($markId): void {
            $mark = ChoreMark::query()->findOrFail($markId);
            $mark->update(['undone_at' => $mark->undone_at ?? CarbonImmutable::now()]);
            IdempotencyKey::spend($mark->request_key);
        });
    }

    /**
     * @param  list<array{batchId: string, task: Task, dueOn: string}>  $chores
     * @param  CarbonImmutable|null  $until  until when they are put off; null: they are done
     * @return Collection<int, ChoreMark>
     */
    public function __invoke(array $chores, ?CarbonImmutable $until, string $requestKey): Collection
    {
        $now = WhenDone::now()->startOfSecond();
        if (
            $until !== null &&
            ($until->lessThanOrEqualTo($now) || $until->greaterThan($now->addDays(self::LONGEST_DAYS)))
        ) {
            throw ValidationException::withMessages(['until' => 'errors.chore_later']);
        }

        return ($this->transaction)(static function () use ($chores, $until, $requestKey, $now): Collection {
            $written = ChoreMark::query()->where('request_key', $requestKey)->get();
            if ($written->isNotEmpty()) {
                return $written;
            }
            foreach ($chores as $chore) {
                Batch::query()->findOrFail($chore['batchId']);
                $written->push(
                    ChoreMark::create([
                        'batch_id' => $chore['batchId'],
                        'task' => $chore['task'],
                        'due_on' => $chore['dueOn'],
                        'done_at' => $until === null ? $now : null,
                        'snoozed_until' => $until,
                        'request_key' => $requestKey,
                    ]),
                );
            }

            return $written;
        });
    }
}
