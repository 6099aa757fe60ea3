<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\PlanBatch;
use App\Household\CurrentHousehold;
use App\Language\ReaderLanguage;
use App\Models\Jar;
use App\Views\TimelineView;
use App\Week\Shopping;
use App\Week\StockAhead;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Message\Message;

/**
 * The weeks ahead: what to start when, so that no jar runs out.
 */
final readonly class TimelineController
{
    private const WARMER = 15;

    public function __construct(private CurrentHousehold $current) {}

    /** With "jarId" or "warmer": how it would be with one more jar, or in a warmer kitchen. */
    public function show(Request $request): JsonResponse
    {
        $asked = $request->validate(
            [
                'jarId' => ['nullable', 'string', 'max:26'],
                'warmer' => ['nullable', 'numeric', 'min:-' . self::WARMER, 'max:' . self::WARMER],
            ],
            [
                'jarId.*' => 'errors.choose_jar',
                'warmer.*' => Message::of('errors.warmer_range', most: self::WARMER)->encode(),
            ],
        );
        $jarId = $asked['jarId'] ?? null;
        if ($jarId !== null && Jar::query()->find($jarId) === null) {
            throw ValidationException::withMessages(['jarId' => 'errors.no_such_jar']);
        }
        $household = $this->current->get();
        $warmer = (float) ($asked['warmer'] ?? 0.0);
        $asItIs = StockAhead::of($household);

        return new JsonResponse(
            $jarId === null && $warmer === 0.0
                ? TimelineView::of($asItIs)
                : TimelineView::of(StockAhead::of($household, $jarId, $warmer), $asItIs),
        );
    }

    public function plan(Request $request, PlanBatch $plan): JsonResponse
    {
        $asked = $request->validate(
            [
                'formulaId' => ['required', 'string', 'max:26'],
                'lineId' => ['nullable', 'string', 'max:26'],
                'jarId' => ['required', 'string', 'max:26'],
                'startOn' => ['required', 'string', 'date_format:Y-m-d'],
                'share' => ['required', 'numeric', 'gt:0', 'max:1'],
                'requestKey' => ['required', 'string', 'ulid'],
            ],
            [
                'formulaId.*' => 'errors.which_formula',
                'lineId.*' => 'errors.rotation_line',
                'jarId.*' => 'errors.choose_jar',
                'startOn.*' => 'errors.date',
                'share.*' => 'errors.jar_share',
                'requestKey.*' => 'errors.request_key',
            ],
        );
        if (abs(CarbonImmutable::parse($asked['startOn'])->diffInDays(CarbonImmutable::now())) > 400) {
            throw ValidationException::withMessages(['startOn' => 'errors.plan_day']);
        }
        $planned = $plan(
            $asked['formulaId'],
            $asked['lineId'] ?? null,
            $asked['jarId'],
            $asked['startOn'],
            (float) $asked['share'],
            $asked['requestKey'],
        );

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
            [
                'days' => ['nullable', 'integer', 'min:1', 'max:' . StockAhead::DAYS],
                'as' => ['nullable', 'string', 'in:json,text,csv'],
            ],
            [
                'days.*' => Message::of('errors.days_range', most: StockAhead::DAYS)->encode(),
                'as.*' => 'errors.export_shopping',
            ],
        );
        $list = Shopping::of(StockAhead::of($this->current->get()), (int) ($asked['days'] ?? 7));
        $file = static fn(string $body, string $type, string $name): Response => new Response($body, 200, [
            'Content-Type' => "{$type}; charset=utf-8",
            'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);

        return match ($asked['as'] ?? 'json') {
            'text' => $file($list->text(ReaderLanguage::words($request)), 'text/plain', 'shopping.txt'),
            'csv' => $file($list->csv(), 'text/csv', 'shopping.csv'),
            default => new JsonResponse([
                'from' => $list->from,
                'to' => $list->to,
                'batches' => $list->batches,
                'lines' => $list->lines,
            ]),
        };
    }
}
