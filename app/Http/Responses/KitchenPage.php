<?php

declare(strict_types=1);

namespace App\Http\Responses;

use App\Household\CurrentHousehold;
use App\Models\HoldDown;
use App\Models\Jar;
use App\Models\Person;
use App\Models\Salt;
use App\Views\KitchenView;
use Illuminate\Http\JsonResponse;

/**
 * The kitchen as it is: what the household owns and who eats there.
 */
final readonly class KitchenPage
{
    public function __construct(private CurrentHousehold $current) {}

    public function answer(int $status = 200): JsonResponse
    {
        return new JsonResponse(
            KitchenView::of(
                $this->current->get(),
                Person::atTable(),
                Jar::query()
                    ->with('batches')
                    ->withCount(['batches' => static fn($query) => $query->where('emptied_at', null)])
                    ->orderBy('position')
                    ->get(),
                Salt::query()->orderBy('position')->get(),
                HoldDown::query()->orderBy('name')->get(),
            ),
            $status,
        );
    }
}
