<?php

declare(strict_types=1);

namespace App\Http\Responses;

use App\Household\CurrentHousehold;
use App\Models\Batch;
use App\Models\Person;
use App\Models\Serving;
use App\Views\BatchView;
use Carbon\CarbonImmutable;
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
                Serving::query()
                    ->with(['person', 'batch', 'entry'])
                    ->where('batch_id', $id)
                    ->orderByDesc('eaten_on')
                    ->latest()
                    ->orderByDesc('id')
                    ->get(),
                $at,
            ),
            $status,
        );
    }
}
