<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AddBoughtJar;
use App\Actions\EmptyJar;
use App\Actions\StartBatch;
use App\Household\CurrentHousehold;
use App\Http\Requests\BoughtRequest;
use App\Http\Requests\StartBatchRequest;
use App\Http\Responses\BatchPage;
use App\Models\Batch;
use App\Models\Jar;
use App\Views\ShelfView;
use App\Views\SodiumCourseView;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Method\Place;

/**
 * Jars that were started.
 */
final readonly class BatchController
{
    public function __construct(private CurrentHousehold $current, private BatchPage $page) {}

    public function index(): JsonResponse
    {
        return new JsonResponse(
            ShelfView::of(
                $this->current->get(),
                Batch::onShelf()->orderByDesc('started_at')->get(),
                Jar::query()
                    ->withCount(['batches' => static fn($query) => $query->where('emptied_at', null)])
                    ->orderBy('position')
                    ->get(),
            ),
        );
    }

    public function store(StartBatchRequest $request, StartBatch $start): JsonResponse
    {
        $batch = $start(
            $request->typed(),
            $request->string('name')->trim()->value(),
            $request->string('place')->value(),
            $request->string('requestKey')->value(),
            $request->startedAt(),
            $request->begin(),
            $request->boolean('isSaltedTwice'),
            $request->ph(),
        );

        return $this->page->answer($batch->id, 201);
    }

    public function shelve(BoughtRequest $request, AddBoughtJar $shelve): JsonResponse
    {
        $batch = $shelve(
            $request->produce(),
            $request->food(),
            $request->grams('amount'),
            $request->grams('servingAmount'),
            Phase::from($request->string('phase')->value()),
            $request->boolean('isLive'),
            Place::from($request->string('place')->value()),
            $request->filled('useBy') ? $request->string('useBy')->value() : null,
            $request->string('requestKey')->value(),
        );

        return $this->page->answer($batch->id, 201);
    }

    /** The batch as it is now, or with "at" as it was or will be. */
    public function show(string $batch, Request $request): JsonResponse
    {
        $at = $request->query('at');
        if ($at === null) {
            return $this->page->answer($batch);
        }
        $moment =
            is_string($at) && strlen($at) <= 40
                ? rescue(static fn(): CarbonImmutable => CarbonImmutable::parse($at), null, false)
                : null;
        if ($moment === null || abs($moment->diffInYears(CarbonImmutable::now())) > 10.0) {
            throw ValidationException::withMessages(['at' => 'errors.moment_ten_years']);
        }

        return $this->page->answer($batch, at: $moment);
    }

    /** The sodium of pieces and brine over the batch's life. */
    public function course(string $batch): JsonResponse
    {
        return new JsonResponse(SodiumCourseView::of(Batch::whole()->findOrFail($batch)));
    }

    /** All of its entries and servings; its page begins with the last ones. */
    public function history(string $batch): JsonResponse
    {
        return $this->page->history($batch);
    }

    /** Takes the batch off the shelf, or puts it back. */
    public function emptied(string $batch, Request $request, EmptyJar $empty): JsonResponse
    {
        $asked = $request->validate(['isEmptied' => ['required', 'boolean']], ['isEmptied.*' => 'errors.is_emptied']);
        $empty($batch, (bool) $asked['isEmptied']);

        return $this->page->answer($batch);
    }
}
