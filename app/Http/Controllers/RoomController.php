<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\SaveReadings;
use App\Actions\SaveRoom;
use App\Household\CurrentHousehold;
use App\Http\Requests\RoomRequest;
use App\Models\Batch;
use App\Views\RoomsView;
use Carbon\CarbonImmutable;
use Closure;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Tempesal\Core\Ferment\TemperatureLog;
use Tempesal\Core\Method\Place;

/**
 * How warm it is where the jars stand.
 */
final readonly class RoomController
{
    /** Letters of a log that are read at once. */
    private const MOST_LETTERS = 2_000_000;

    public function __construct(private CurrentHousehold $current, private RoomsView $view, private SaveRoom $change) {}

    public function index(): JsonResponse
    {
        return new JsonResponse($this->view->of($this->current->get(), Batch::onShelf()->orderBy('started_at')->get()));
    }

    public function update(RoomRequest $request): JsonResponse
    {
        $this->change->usually(
            $request->place(),
            $request->float('usualCelsius'),
            $request->float('swingCelsius'),
            $request->integer('warmestHour'),
            $request->version(),
        );

        return $this->index();
    }

    /** Readings of an instrument, or one that was typed. */
    public function read(string $place, Request $request, SaveReadings $keep): JsonResponse
    {
        $at = self::place($place);
        $asked = $request->validate(
            [
                'readings' => ['required', 'array', 'list', 'min:1', 'max:2000'],
                'readings.*.at' => ['required', 'string', 'max:40', 'date'],
                'readings.*.celsius' => ['required', 'numeric', 'min:-30', 'max:60'],
                'source' => ['required', 'string', 'in:typed,logger'],
            ],
            [
                'readings.*.at.*' => 'errors.moment',
                'readings.*.celsius.*' => 'errors.temperature_range',
                'readings.*' => 'errors.readings',
                'source.*' => 'errors.reading_source',
            ],
        );
        $readings = [];
        foreach ($asked['readings'] as $i => $reading) {
            $moment = CarbonImmutable::parse($reading['at'])->utc()->startOfSecond();
            if ($moment->isAfter(CarbonImmutable::now()->addMinute())) {
                throw ValidationException::withMessages(["readings.{$i}.at" => 'errors.reading_future']);
            }
            $readings[$moment->getTimestamp()] = [$moment->toDateTimeImmutable(), (float) $reading['celsius']];
        }
        $keep($at, array_values($readings), $asked['source']);

        return $this->index()->setStatusCode(201);
    }

    /** A log as CSV: looked at first, or kept. */
    public function bring(string $place, Request $request, SaveReadings $keep): JsonResponse
    {
        $at = self::place($place);
        $asked = $request->validate(
            ['text' => ['required', 'string', 'max:' . self::MOST_LETTERS], 'isPreview' => ['required', 'boolean']],
            ['text.max' => 'errors.log_too_long', 'text.*' => 'errors.log_empty', 'isPreview.*' => 'errors.is_preview'],
        );
        $log = TemperatureLog::read($asked['text'], new DateTimeZone($this->current->get()->time_zone));
        $readings = array_values(
            array_filter(
                $log->readings,
                static fn(array $reading): bool => $reading[0] <=
                    new DateTimeImmutable(CarbonImmutable::now()->toIso8601String()),
            ),
        );
        if (!$asked['isPreview']) {
            $keep($at, $readings, 'csv');
        }
        $moment = static fn(?array $reading): ?string => $reading === null
            ? null
            : $reading[0]->format('Y-m-d\TH:i:s\Z');

        return new JsonResponse([
            'readings' => count($readings),
            'inFuture' => count($log->readings) - count($readings),
            'problems' => array_slice($log->problems, 0, 50),
            'problemsInAll' => count($log->problems),
            'from' => $moment($readings[0] ?? null),
            'to' => $moment($readings[count($readings) - 1] ?? null),
            'lowest' => $readings === [] ? null : min(array_column($readings, 1)),
            'highest' => $readings === [] ? null : max(array_column($readings, 1)),
        ]);
    }

    public function expect(string $place, Request $request): JsonResponse
    {
        $at = self::place($place);
        $asked = $request->validate(
            [
                'fromOn' => ['bail', 'required', 'string', 'date_format:Y-m-d'],
                'toOn' => [
                    'bail',
                    'required',
                    'string',
                    'date_format:Y-m-d',
                    self::notBefore($request->input('fromOn')),
                ],
                'celsius' => ['required', 'numeric', 'min:-30', 'max:60'],
            ],
            [
                'fromOn.*' => 'errors.date',
                'toOn.*' => 'errors.date',
                'celsius.*' => 'errors.temperature_range',
            ],
        );
        if (CarbonImmutable::parse($asked['fromOn'])->diffInDays(CarbonImmutable::parse($asked['toOn'])) > 120.0) {
            throw ValidationException::withMessages(['toOn' => 'errors.spell_too_long']);
        }
        $this->change->expect($at, $asked['fromOn'], $asked['toOn'], (float) $asked['celsius']);

        return $this->index()->setStatusCode(201);
    }

    public function forget(string $place, string $spell): JsonResponse
    {
        $this->change->forget(self::place($place), $spell);

        return $this->index();
    }

    /** A rule for a day that comes no earlier than another. */
    private static function notBefore(mixed $first): Closure
    {
        return static function (string $field, mixed $day, Closure $fail) use ($first): void {
            if (is_string($first) && $day < $first) {
                $fail('errors.spell_order');
            }
        };
    }

    private static function place(string $place): Place
    {
        return Place::tryFrom($place) ?? throw new NotFoundHttpException();
    }
}
