<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeWeek;
use App\Actions\SaveRotation;
use App\Household\CurrentHousehold;
use App\Http\Requests\RotationRequest;
use App\Http\Requests\WeekChangeRequest;
use App\Views\RotationView;
use App\Views\WeekView;
use App\Week\KitchenWeek;
use App\Week\WeekPlanning;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Message\Message;

/**
 * Weeks, planned.
 */
final readonly class WeekController
{
    private const KEY = ['requestKey' => ['required', 'string', 'ulid']];

    private const FILL = [
        'rest' => ['required', 'boolean'],
        'weeks' => ['integer', 'min:1', 'max:' . WeekPlanning::MOST_WEEKS],
    ];

    private const KEY_MESSAGE = ['requestKey.*' => 'errors.request_key'];

    public function __construct(
        private CurrentHousehold $current,
        private ChangeWeek $change,
        private WeekPlanning $planning,
    ) {}

    public function show(string $date): JsonResponse
    {
        return $this->answer($this->from($date));
    }

    public function change(string $date, WeekChangeRequest $request): JsonResponse
    {
        $from = $this->from($date);
        ($this->change)($from, $request->put(), $request->removed(), $request->string('requestKey')->value());

        return $this->answer($from);
    }

    public function fill(string $date, Request $request): JsonResponse
    {
        $asked = $request->validate(
            [...self::KEY, ...self::FILL, 'planning' => ['nullable', 'string', 'ulid']],
            [...self::KEY_MESSAGE, ...self::fillMessages(), 'planning.*' => 'errors.request_key'],
        );
        $from = $this->from($date);
        $this->change->fill(
            $from,
            (bool) $asked['rest'],
            $asked['requestKey'],
            $asked['planning'] ?? null,
            (int) ($asked['weeks'] ?? 1),
        );

        return $this->answer($from);
    }

    /** Plans without putting anything in place: that is done by filling the week with what was found. */
    public function plan(string $date, string $planning, Request $request): JsonResponse
    {
        $asked = $request->validate(self::FILL, self::fillMessages());

        return new JsonResponse(
            $this->planning->run(
                $this->from($date),
                (bool) $asked['rest'],
                self::ulid($planning),
                (int) ($asked['weeks'] ?? 1),
            ),
        );
    }

    /** How far the planning has come. */
    public function told(string $planning): JsonResponse
    {
        return new JsonResponse(['told' => $this->planning->told(self::ulid($planning))]);
    }

    public function stop(string $planning): JsonResponse
    {
        $this->planning->stop(self::ulid($planning));

        return new JsonResponse(['told' => $this->planning->told($planning)]);
    }

    /** @return array<string, string> */
    private static function fillMessages(): array
    {
        return [
            'rest.*' => 'errors.fill_rest',
            'weeks.*' => Message::of('errors.fill_weeks', most: WeekPlanning::MOST_WEEKS)->encode(),
        ];
    }

    private static function ulid(string $planning): string
    {
        return Str::isUlid($planning)
            ? $planning
            : throw ValidationException::withMessages(['planning' => 'errors.request_key']);
    }

    public function clear(string $date, Request $request): JsonResponse
    {
        $from = $this->from($date);
        $this->change->clear($from, $request->validate(self::KEY, self::KEY_MESSAGE)['requestKey']);

        return $this->answer($from);
    }

    public function copy(string $date, Request $request): JsonResponse
    {
        $from = $this->from($date);
        $this->change->copyLast($from, $request->validate(self::KEY, self::KEY_MESSAGE)['requestKey']);

        return $this->answer($from);
    }

    public function undo(string $date): JsonResponse
    {
        $from = $this->from($date);
        $this->change->undo($from);

        return $this->answer($from);
    }

    public function redo(string $date): JsonResponse
    {
        $from = $this->from($date);
        $this->change->redo($from);

        return $this->answer($from);
    }

    public function rotation(): JsonResponse
    {
        return new JsonResponse(RotationView::of($this->current->get()));
    }

    public function keepRotation(RotationRequest $request, SaveRotation $keep): JsonResponse
    {
        $keep($request->lines(), $request->planning());

        return $this->rotation();
    }

    private function from(string $date): string
    {
        return KitchenWeek::firstDayOf($this->current->get(), $date);
    }

    private function answer(string $from): JsonResponse
    {
        return new JsonResponse(WeekView::of(KitchenWeek::of($this->current->get(), $from)));
    }
}
