<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\StartBatch;
use App\Bench\BenchParser;
use App\Bench\JarToBe;
use App\Http\Requests\BenchRequest;
use App\Models\Jar;
use App\Models\Person;
use App\Views\BenchView;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;

/**
 * Answers what stands on the bench, while the cook types.
 */
final class BenchController
{
    public function __invoke(BenchRequest $request, BenchParser $readSheet): JsonResponse
    {
        $typed = $request->typed();
        $order = $readSheet($typed);

        $solution = StartBatch::workOut($order);

        return new JsonResponse(
            BenchView::of(
                $order,
                $solution,
                Person::query()->orderBy('position')->get(),
                $order->jars === [] ? Jar::query()->orderBy('nominal_ml')->get() : new Collection(),
                $typed,
                $order->source === null
                    ? (new JarToBe($order, $solution, $typed, $request->place()))->meant($request->packedAt())
                    : null,
            ),
        );
    }
}
