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
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

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
            $request->startedAt(),
        );

        return $this->answer($batch->id)->setStatusCode(201);
    }

    /** The batch as it is now, or with "at" as it was or will be. */
    public function show(string $batch, Request $request): JsonResponse
    {
        $at = $request->query('at');
        if ($at === null) {
            return $this->answer($batch);
        }
        $moment = is_string($at) && strlen($at) <= 40 ? rescue(static fn (): CarbonImmutable => CarbonImmutable::parse($at), null, false) : null;
        if ($moment === null || abs($moment->diffInYears(CarbonImmutable::now())) > 10.0) {
            throw ValidationException::withMessages(['at' => 'A moment is written like 2026-11-24T18:30:00Z and lies within ten years.']);
        }

        return $this->answer($batch, $moment);
    }

    private function answer(string $id, ?CarbonImmutable $at = null): JsonResponse
    {
        return new JsonResponse(BatchView::whole(
            Batch::query()->with(['jar', 'entries'])->findOrFail($id),
            $this->current->get(),
            Person::atTable(),
            Serving::query()->with(['person', 'batch'])->where('batch_id', $id)->latest()->get(),
            $at,
        ));
    }
}
