<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\RecordNote;
use App\Care\BatchStatus;
use App\Household\CurrentHousehold;
use App\Household\HouseholdTransaction;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\PracticeAnswer;
use App\Views\CheckView;
use App\Views\LogView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Tempesal\Core\Check\Finding;
use Tempesal\Core\Check\PracticeJar;

/**
 * Looking into a jar, and practising it on drawn ones.
 */
final readonly class CheckController
{
    public function __construct(private CurrentHousehold $current) {}

    public function show(string $batch): JsonResponse
    {
        return new JsonResponse(['questions' => CheckView::questions($this->status($batch)->situation())]);
    }

    /** What follows from what was found so far; nothing is written. */
    public function preview(string $batch, Request $request): JsonResponse
    {
        return new JsonResponse(CheckView::inspection($this->status($batch)->situation(), self::found($request)));
    }

    public function store(string $batch, Request $request, RecordNote $write): JsonResponse
    {
        $request->validate(['requestKey' => ['required', 'string', 'ulid']], ['requestKey.*' => 'errors.request_key']);
        $status = $this->status($batch);
        $found = self::found($request);
        $note = $write->check($batch, $found, $request->string('requestKey')->value());

        return new JsonResponse(
            [
                'note' => LogView::note($note, $this->current->get(), $status->batch),
                'inspection' => CheckView::inspection($status->situation(), $found),
            ],
            201,
        );
    }

    /** The next drawn jar. */
    public function practice(): JsonResponse
    {
        return new JsonResponse(CheckView::practice(PracticeJar::number(PracticeAnswer::query()->count())));
    }

    public function answer(Request $request, HouseholdTransaction $transaction): JsonResponse
    {
        $asked = $request->validate(
            [
                'number' => ['required', 'integer', 'min:0', 'max:1000000'],
                'answer' => ['required', 'string', Rule::in(PracticeJar::ANSWERS)],
                'requestKey' => ['required', 'string', 'ulid'],
            ],
            [
                'number.*' => 'errors.practice_number',
                'answer.*' => 'errors.practice_answer',
                'requestKey.*' => 'errors.request_key',
            ],
        );
        $example = PracticeJar::number((int) $asked['number']);
        $transaction(
            static fn() => PracticeAnswer::query()->firstOrCreate(
                ['request_key' => $asked['requestKey']],
                [
                    'number' => $example->number,
                    'sign' => $example->sign->value,
                    'answer' => $asked['answer'],
                    'is_right' => $example->isRight($asked['answer']),
                ],
            ),
        );

        return new JsonResponse(CheckView::practice($example, $asked['answer']), 201);
    }

    private function status(string $batch): BatchStatus
    {
        $one = Batch::whole()->findOrFail($batch);

        return BatchStatus::of($one, Ledgers::of($one), $this->current->get());
    }

    /** @return list<Finding> */
    private static function found(Request $request): array
    {
        $asked = $request->validate(
            ['found' => ['present', 'array', 'list', 'max:60'], 'found.*' => ['string', Rule::enum(Finding::class)]],
            ['found.*.*' => 'errors.finding', 'found.*' => 'errors.findings'],
        );

        return array_map(Finding::from(...), array_values(array_unique($asked['found'])));
    }
}
