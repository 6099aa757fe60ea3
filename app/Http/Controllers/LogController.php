<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\RecordNote;
use App\Actions\SavePhoto;
use App\Care\BatchStatus;
use App\Household\CurrentHousehold;
use App\Http\Requests\NoteRequest;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\Note;
use App\Views\LogView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/**
 * What was tasted, read and seen, and how batches of one kind compare.
 */
final readonly class LogController
{
    private const MOST_BYTES = 8 * 1024 * 1024;

    /** Batches of one kind that are laid side by side. */
    private const BESIDE = 12;

    public function __construct(private CurrentHousehold $current) {}

    public function index(string $batch): JsonResponse
    {
        $one = Batch::whole()->findOrFail($batch);
        $alike = Batch::whole()
            ->where('likeness', $one->likeness)
            ->orderByDesc('started_at')
            ->orderByDesc('id')
            ->limit(self::BESIDE)
            ->get();
        if ($one->likeness === '' || !$alike->contains('id', $one->id)) {
            $alike = $alike->where('likeness', '!=', '')->push($one)->values();
        }

        return new JsonResponse(LogView::of(BatchStatus::of($one, Ledgers::of($one), $this->current->get()), $alike));
    }

    public function store(string $batch, NoteRequest $request, RecordNote $write): JsonResponse
    {
        $note = $write($batch, $request->columns(), $request->at(), $request->string('requestKey')->value());

        return $this->answer($note)->setStatusCode(201);
    }

    /** Takes a note out of the log; it is no longer found. */
    public function remove(string $note, RecordNote $write): JsonResponse
    {
        return $this->index($write->remove($note)->batch_id);
    }

    public function keepPhoto(string $note, Request $request, SavePhoto $keep): JsonResponse
    {
        Note::query()->findOrFail($note);
        $photo = $request->file('photo');
        if (!($photo instanceof UploadedFile) || $photo->getSize() > self::MOST_BYTES) {
            throw ValidationException::withMessages(['photo' => 'errors.photo_size']);
        }

        return $this->answer($keep($note, $photo))->setStatusCode(201);
    }

    public function photo(string $note): BinaryFileResponse
    {
        $path = SavePhoto::path(Note::query()->findOrFail($note));
        abort_if($path === null || !is_file($path), 404);

        // Said to be private from the start: what is said to be public goes out so, whatever header it is given.
        $photo = new BinaryFileResponse(
            $path,
            200,
            ['Content-Type' => 'image/jpeg', 'X-Content-Type-Options' => 'nosniff'],
            public: false,
        );

        return $photo->setPrivate()->setMaxAge(86_400);
    }

    private function answer(Note $note): JsonResponse
    {
        return new JsonResponse(
            LogView::note($note, $this->current->get(), Batch::query()->findOrFail($note->batch_id)),
        );
    }
}
