<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Batch;
use App\Models\Person;
use App\Views\BatchView;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/**
 * What a change of a batch would do: it is made, looked at, and left unmade.
 */
final readonly class PreviewEntry
{
    public function __construct(private WriteEntry $write, private ReverseEntry $reverse)
    {
    }

    /**
     * @param  array<string, mixed>  $documented
     * @return array{before: array<string, mixed>, after: array<string, mixed>}
     *
     * @throws ValidationException
     */
    public function __invoke(string $batchId, array $documented, ?CarbonImmutable $at): array
    {
        return self::tried($batchId, fn () => ($this->write)($batchId, $documented, $at, (string) Str::ulid()));
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
        return self::tried($batchId, fn () => ($this->reverse)($batchId, $entryId));
    }

    /**
     * @param  Closure(): mixed  $change
     * @return array{before: array<string, mixed>, after: array<string, mixed>}
     */
    private static function tried(string $batchId, Closure $change): array
    {
        DB::beginTransaction();
        try {
            $before = self::look($batchId);
            $change();

            return ['before' => $before, 'after' => self::look($batchId)];
        } finally {
            DB::rollBack();
        }
    }

    /** @return array<string, mixed> */
    private static function look(string $batchId): array
    {
        $batch = Batch::query()->with(['jar', 'entries'])->findOrFail($batchId);

        return BatchView::numbers($batch, $batch->ledger(), Person::atTable());
    }
}
