<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\PreviewEntry;
use App\Actions\WorkStep;
use App\Care\BatchStatus;
use App\Household\CurrentHousehold;
use App\Http\Requests\StepRequest;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Views\StepsView;
use Illuminate\Http\JsonResponse;

/**
 * The steps of a making, at the counter.
 */
final readonly class StepController
{
    public function __construct(private CurrentHousehold $current, private WorkStep $work) {}

    public function index(string $batch): JsonResponse
    {
        return $this->answer($batch);
    }

    public function done(string $batch, string $step, StepRequest $request): JsonResponse
    {
        $this->work->done($batch, $step, $request->at(), $request->change(...), $request->requestKey());

        return $this->answer($batch, 201);
    }

    public function skipped(string $batch, string $step, StepRequest $request): JsonResponse
    {
        $this->work->skipped($batch, $step, $request->at());

        return $this->answer($batch, 201);
    }

    public function undone(string $batch, string $step): JsonResponse
    {
        $this->work->undone($batch, $step);

        return $this->answer($batch);
    }

    /** What a step would do, done so; nothing is written. */
    public function preview(string $batch, string $step, StepRequest $request, PreviewEntry $preview): JsonResponse
    {
        return new JsonResponse($preview->step($batch, $step, $request->change(...), $request->requestKey()));
    }

    private function answer(string $id, int $status = 200): JsonResponse
    {
        $batch = Batch::whole()->findOrFail($id);

        return new JsonResponse(
            StepsView::of(BatchStatus::of($batch, Ledgers::of($batch), $this->current->get())),
            $status,
        );
    }
}
