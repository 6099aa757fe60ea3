<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\UpdatePortions;
use App\Intake\OutdatedPortion;
use App\Models\Batch;
use App\Views\OutdatedPortionView;
use Illuminate\Http\JsonResponse;

/**
 * Portions that were eaten of a jar, held against what was written of it since.
 */
final readonly class PortionController
{
    public function __construct(private UpdatePortions $update) {}

    public function index(string $batch): JsonResponse
    {
        return $this->answer($batch, 0);
    }

    public function update(string $batch): JsonResponse
    {
        return $this->answer($batch, count(($this->update)($batch)), 201);
    }

    public function undo(string $batch): JsonResponse
    {
        return $this->answer($batch, count($this->update->undo($batch)));
    }

    /** @param  int  $changed  portions */
    private function answer(string $id, int $changed, int $status = 200): JsonResponse
    {
        $batch = Batch::query()->with('entries')->findOrFail($id);

        return new JsonResponse(
            ['outdated' => array_map(OutdatedPortionView::of(...), OutdatedPortion::of($batch)), 'changed' => $changed],
            $status,
        );
    }
}
