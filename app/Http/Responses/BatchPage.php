<?php

declare(strict_types=1);

namespace App\Http\Responses;

use App\Household\CurrentHousehold;
use App\Models\Batch;
use App\Models\Person;
use App\Models\Serving;
use App\Views\BatchHistory;
use App\Views\BatchView;
use App\Views\ServingView;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;

/**
 * Everything about one batch, now or at another moment.
 */
final readonly class BatchPage
{
    public function __construct(private CurrentHousehold $current) {}

    public function answer(string $id, int $status = 200, ?CarbonImmutable $at = null): JsonResponse
    {
        return new JsonResponse(
            BatchView::whole(
                Batch::whole()->findOrFail($id),
                $this->current->get(),
                Person::atTable(),
                self::servings($id, BatchHistory::LATEST),
                Serving::query()->where('batch_id', $id)->count(),
                $at,
            ),
            $status,
        );
    }

    /** All that was done to it and eaten of it, however long ago. */
    public function history(string $id): JsonResponse
    {
        return new JsonResponse([
            'entries' => BatchHistory::entries(Batch::whole()->findOrFail($id), CarbonImmutable::now()),
            'servings' => self::servings($id)
                ->map(static fn(Serving $serving): array => ServingView::of($serving))
                ->values(),
        ]);
    }

    /** @return Collection<int, Serving> the last ones first; all of them without a number */
    private static function servings(string $batchId, ?int $latest = null): Collection
    {
        $rows = Serving::query()->with(['person', 'batch', 'entry']);
        $rows->where('batch_id', $batchId)->orderByDesc('eaten_on')->latest()->orderByDesc('id');

        return ($latest === null ? $rows : $rows->limit($latest))->get();
    }
}
