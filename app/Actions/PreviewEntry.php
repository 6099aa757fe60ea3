<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Batch;
use App\Models\Person;
use App\Views\BatchView;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/**
 * What an entry would do: it is written, looked at, and left unwritten.
 */
final readonly class PreviewEntry
{
    public function __construct(private WriteEntry $write)
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
        DB::beginTransaction();
        try {
            $before = self::look($batchId);
            ($this->write)($batchId, $documented, $at, (string) Str::ulid());

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
