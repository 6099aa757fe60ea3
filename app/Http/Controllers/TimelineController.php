<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\PlanBatch;
use App\Household\CurrentHousehold;
use App\Models\Jar;
use App\Views\TimelineView;
use App\Week\Shopping;
use App\Week\StockAhead;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

/**
 * The weeks ahead: what to start when, so that no jar runs out.
 */
final readonly class TimelineController
{
    private const WARMER = 15;

    public function __construct(private CurrentHousehold $current)
    {
    }

    /** With "jarId" or "warmer": how it would be with one more jar, or in a warmer kitchen. */
    public function show(Request $request): JsonResponse
    {
        $asked = $request->validate(
            ['jarId' => ['nullable', 'string', 'max:26'], 'warmer' => ['nullable', 'numeric', 'min:-'.self::WARMER, 'max:'.self::WARMER]],
            ['jarId.*' => 'Pick a jar.', 'warmer.*' => 'Between '.self::WARMER.' degrees cooler and '.self::WARMER.' degrees warmer.'],
        );
        $jarId = $asked['jarId'] ?? null;
        if ($jarId !== null && Jar::query()->find($jarId) === null) {
            throw ValidationException::withMessages(['jarId' => 'There is no such jar in your kitchen.']);
        }
        $household = $this->current->get();
        $warmer = (float) ($asked['warmer'] ?? 0.0);
        $asItIs = StockAhead::of($household);

        return new JsonResponse($jarId === null && $warmer === 0.0 ? TimelineView::of($asItIs) : TimelineView::of(StockAhead::of($household, $jarId, $warmer), $asItIs));
    }

    public function plan(Request $request, PlanBatch $plan): JsonResponse
    {
        $asked = $request->validate([
            'formulaId' => ['required', 'string', 'max:26'], 'lineId' => ['nullable', 'string', 'max:26'], 'jarId' => ['required', 'string', 'max:26'],
            'startOn' => ['required', 'string', 'date_format:Y-m-d'], 'share' => ['required', 'numeric', 'gt:0', 'max:1'], 'requestKey' => ['required', 'string', 'ulid'],
        ], [
            'formulaId.*' => 'Say which formula.', 'lineId.*' => 'That does not come round.', 'jarId.*' => 'Pick a jar.', 'startOn.*' => 'A day is written like 2026-11-24.',
            'share.*' => 'Say how full the jar gets: above 0, at most 1.', 'requestKey.*' => 'The request is missing its key; reload the page.',
        ]);
        if (abs(CarbonImmutable::parse($asked['startOn'])->diffInDays(CarbonImmutable::now())) > 400) {
            throw ValidationException::withMessages(['startOn' => 'A batch is planned for a day within a year.']);
        }
        $planned = $plan($asked['formulaId'], $asked['lineId'] ?? null, $asked['jarId'], $asked['startOn'], (float) $asked['share'], $asked['requestKey']);

        return new JsonResponse(['id' => $planned->id], 201);
    }

    public function cancel(string $plannedBatch, PlanBatch $plan): JsonResponse
    {
        $plan->cancel($plannedBatch);

        return new JsonResponse(['id' => $plannedBatch]);
    }

    /** What must be bought for what is to be started within some days. */
    public function shopping(Request $request): JsonResponse|Response
    {
        $asked = $request->validate(
            ['days' => ['nullable', 'integer', 'min:1', 'max:'.StockAhead::DAYS], 'as' => ['nullable', 'string', 'in:json,text,csv']],
            ['days.*' => 'Between 1 and '.StockAhead::DAYS.' days.', 'as.*' => 'As json, text or csv.'],
        );
        $list = Shopping::of(StockAhead::of($this->current->get()), (int) ($asked['days'] ?? 7));
        $file = static fn (string $body, string $type, string $name): Response => new Response($body, 200, ['Content-Type' => "{$type}; charset=utf-8", 'Content-Disposition' => "attachment; filename=\"{$name}\""]);

        return match ($asked['as'] ?? 'json') {
            'text' => $file($list->text(), 'text/plain', 'shopping.txt'),
            'csv' => $file($list->csv(), 'text/csv', 'shopping.csv'),
            default => new JsonResponse(['from' => $list->from, 'to' => $list->to, 'batches' => $list->batches, 'lines' => $list->lines]),
        };
    }
}
