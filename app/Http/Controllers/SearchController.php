<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Household\CurrentHousehold;
use App\Language\ReaderLanguage;
use App\Models\Batch;
use App\Models\Formula;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Tempesal\Core\Message\Day;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Search\DayWords;
use Tempesal\Core\Search\NameIndex;

/**
 * Any day, jar or formula by its name, forgiving a slip of the pen.
 */
final readonly class SearchController
{
    private const MOST = 12;

    private const LETTERS = 80;

    public function __construct(private CurrentHousehold $current) {}

    public function __invoke(Request $request): JsonResponse
    {
        $asked = mb_substr(
            trim(
                (string) ($request->validate(['q' => ['nullable', 'string', 'max:500']], ['q.*' => 'errors.search'])[
                    'q'
                ] ?? ''),
            ),
            0,
            self::LETTERS,
        );
        $household = $this->current->get();
        $days = array_map(
            static fn(string $date): array => [
                'kind' => 'day',
                'id' => $date,
                'name' => $date,
                'detail' => null,
                'colour' => null,
            ],
            DayWords::read($asked, $household->today()),
        );
        $things = [];
        foreach (Batch::query()->orderByDesc('started_at')->get() as $batch) {
            $things["jar {$batch->id}"] = [
                'kind' => 'jar',
                'id' => $batch->id,
                'name' => $batch->name,
                'colour' => $batch->colour,
                'detail' =>
                    $batch->emptied_at === null
                        ? Message::of('search.started', day: new Day($household->dateOf($batch->started_at)))
                        : Message::of('search.emptied', day: new Day($household->dateOf($batch->emptied_at))),
            ];
        }
        foreach (Formula::query()->where('archived_at', null)->get() as $formula) {
            $things["formula {$formula->id}"] = [
                'kind' => 'formula',
                'id' => $formula->id,
                'name' => ReaderLanguage::say($formula->label()),
                'colour' => null,
                'detail' => Message::of('search.formula'),
            ];
        }
        $found = (new NameIndex(array_map(static fn(array $thing): array => [$thing['name']], $things)))->find(
            $asked,
            self::MOST,
        );

        return new JsonResponse([
            'hits' => [...$days, ...array_map(static fn(string $id): array => $things[$id], $found)],
        ]);
    }
}
