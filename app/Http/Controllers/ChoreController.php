<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\MarkChores;
use App\Household\CurrentHousehold;
use App\Models\Batch;
use App\Models\PlannedBatch;
use App\Views\ChoresView;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Tempesal\Core\Care\Task;

/**
 * What the jars ask for, and what was done of it.
 */
final readonly class ChoreController
{
    public function __construct(private CurrentHousehold $current) {}

    public function index(): JsonResponse
    {
        return new JsonResponse(
            ChoresView::of(
                $this->current->get(),
                Batch::onShelf()->orderBy('started_at')->get(),
                PlannedBatch::toStart(),
            ),
        );
    }

    /** Done, or with "until" put off. */
    public function mark(Request $request, MarkChores $mark): JsonResponse
    {
        $asked = $request->validate(
            [
                'chores' => ['required', 'array', 'list', 'min:1', 'max:200'],
                'chores.*.batchId' => ['required', 'string', 'ulid'],
                'chores.*.task' => ['required', 'string', Rule::enum(Task::class)],
                'chores.*.dueOn' => ['required', 'string', 'date_format:Y-m-d'],
                'until' => ['nullable', 'string', 'max:40', 'date'],
                'requestKey' => ['required', 'string', 'ulid'],
            ],
            [
                'chores.*.batchId.*' => 'errors.which_jar',
                'chores.*.task.*' => 'errors.chore',
                'chores.*.dueOn.*' => 'errors.date',
                'chores.*' => 'errors.chores',
                'until.*' => 'errors.moment',
                'requestKey.*' => 'errors.request_key',
            ],
        );
        $marks = $mark(
            array_values(
                array_map(
                    static fn(array $chore): array => [
                        'batchId' => $chore['batchId'],
                        'task' => Task::from($chore['task']),
                        'dueOn' => $chore['dueOn'],
                    ],
                    $asked['chores'],
                ),
            ),
            isset($asked['until']) ? CarbonImmutable::parse($asked['until']) : null,
            $asked['requestKey'],
        );

        return new JsonResponse(['marks' => $marks->pluck('id')->all()], 201);
    }

    /** It was not done after all. */
    public function unmark(string $mark, MarkChores $marks): JsonResponse
    {
        $marks->unmark($mark);

        return $this->index();
    }
}
