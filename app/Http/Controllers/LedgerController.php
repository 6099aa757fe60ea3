<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\PreviewEntry;
use App\Actions\RecordEntry;
use App\Actions\ReverseEntry;
use App\Http\Requests\EntryRequest;
use App\Http\Responses\BatchPage;
use App\Ledger\EntryReader;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Support\InvalidInput;
use App\Views\LineageView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Inverse\InverseQuestions;

/**
 * What was done to a batch, what would follow, and who fed whom.
 */
final readonly class LedgerController
{
    public function store(string $batch, EntryRequest $request, RecordEntry $write, BatchPage $page): JsonResponse
    {
        $write($batch, $request->entry(), $request->at(), $request->string('requestKey')->value());

        return $page->answer($batch, 201);
    }

    public function preview(string $batch, EntryRequest $request, PreviewEntry $preview): JsonResponse
    {
        return new JsonResponse($preview($batch, $request->entry(), $request->at()));
    }

    public function previewReversal(string $batch, string $entry, PreviewEntry $preview): JsonResponse
    {
        return new JsonResponse($preview->reversal($batch, $entry));
    }

    public function reverse(string $batch, string $entry, ReverseEntry $reverse, BatchPage $page): JsonResponse
    {
        $reverse($batch, $entry);

        return $page->answer($batch, 201);
    }

    /** @throws ValidationException */
    public function ask(string $batch, Request $request): JsonResponse
    {
        $ledger = Ledgers::of(Batch::query()->with('entries')->findOrFail($batch));
        try {
            $asked = $request->input('question');
            $fields = Fields::of(
                is_array($asked) ? EntryReader::pantry()->fill($asked, 'question') : $asked,
                'question',
            );
            $question = InverseQuestions::read($fields);
            $fields->refuseUnread();
        } catch (InvalidField $refusal) {
            throw InvalidInput::at($refusal->path, $refusal->explanation());
        }

        return new JsonResponse($question->answer($ledger)->toArray());
    }

    public function lineage(): JsonResponse
    {
        return new JsonResponse(LineageView::ofKitchen());
    }
}
