<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\StartBatch;
use App\Household\CurrentHousehold;
use App\Http\Requests\StartBatchRequest;
use App\Models\Batch;
use App\Models\Person;
use App\Models\Serving;
use App\Views\BatchView;
use Illuminate\Http\JsonResponse;

/**
 * Jars that were started.
 */
final readonly class BatchController
{
    public function __construct(private CurrentHousehold $current)
    {
    }

    public function index(): JsonResponse
    {
        $household = $this->current->get();
        $batches = Batch::query()->with(['jar', 'entries'])->orderByDesc('started_at')->get();

        return new JsonResponse(['batches' => $batches->map(static fn (Batch $batch): array => BatchView::onShelf($batch, $household))->values()->all()]);
    }

    public function store(StartBatchRequest $request, StartBatch $start): JsonResponse
    {
        $batch = $start(
            $request->typed(),
            $request->string('name')->trim()->value(),
            $request->string('place')->value(),
            $request->string('requestKey')->value(),
        );

        return $this->answer($batch->id)->setStatusCode(201);
    }

    public function show(string $batch): JsonResponse
    {
        return $this->answer($batch);
    }

    private function answer(string $id): JsonResponse
    {
        return new JsonResponse(BatchView::whole(
            Batch::query()->with(['jar', 'entries'])->findOrFail($id),
            $this->current->get(),
            Person::query()->orderBy('position')->get(),
            Serving::query()->with(['person', 'batch'])->where('batch_id', $id)->latest()->get(),
        ));
    }
}
