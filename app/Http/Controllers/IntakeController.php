<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\RecordOtherFood;
use App\Household\CurrentHousehold;
use App\Household\IdempotencyKey;
use App\Http\Responses\IntakePage;
use App\Intake\BackgroundIntake;
use App\Intake\IntakeCsv;
use App\Intake\Intakes;
use App\Models\Household;
use App\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Message\Message;

/**
 * What everyone took in, from the jars and besides them.
 */
final readonly class IntakeController
{
    private const USUAL_DAYS = 28;

    private const MOST_DAYS = 366;

    public function __construct(private CurrentHousehold $current) {}

    /** Some days of someone; beside them the days before, or someone else's. */
    public function show(Request $request, IntakePage $page): JsonResponse
    {
        $asked = $request->validate(
            ['personId' => ['required', 'string', 'max:26'], 'beside' => ['nullable', 'string', 'max:26']],
            ['personId.*' => 'errors.which_person', 'beside.*' => 'errors.compare_with'],
        );
        [$from, $to] = $this->span($request);
        $person = Person::query()->findOrFail((string) $asked['personId']);
        $beside = null;
        $name = null;
        if (($asked['beside'] ?? null) === 'before') {
            $days = Household::daysBetween($from, $to) + 1;
            $beside = Intakes::of($person, self::daysBefore($from, $days), self::daysBefore($from, 1));
            $name = Message::of('intake.days_before');
        } elseif (isset($asked['beside'])) {
            $other = Person::query()->findOrFail((string) $asked['beside']);
            [$beside, $name] = [Intakes::of($other, $from, $to), Message::of('text.quoted', text: $other->name)];
        }

        return new JsonResponse($page->of($person, $from, $to, $beside, $name));
    }

    public function export(Request $request): JsonResponse|Response
    {
        $asked = $request->validate(
            ['as' => ['required', 'string', 'in:csv,json'], 'personId' => ['nullable', 'string', 'max:26']],
            ['as.*' => 'errors.export_csv', 'personId.*' => 'errors.which_person'],
        );
        [$from, $to] = $this->span($request);
        $people = isset($asked['personId'])
            ? Person::query()
                ->whereKey(Person::query()->findOrFail((string) $asked['personId'])->id)
                ->get()
            : Person::query()->withoutGlobalScope('present')->get();
        $servings = Intakes::servings($from, $to)->whereIn('person_id', $people->pluck('id')->all());
        $foods = BackgroundIntake::between($from, $to)->written->whereIn('person_id', $people->pluck('id')->all());
        if ($asked['as'] === 'csv') {
            return new Response(IntakeCsv::of($servings, $foods, $people), 200, [
                'Content-Type' => 'text/csv; charset=utf-8',
                'Content-Disposition' => "attachment; filename=\"intake-{$from}-{$to}.csv\"",
            ]);
        }

        return (new JsonResponse([
            'tempesal' => 'intake',
            'version' => 1,
            'from' => $from,
            'to' => $to,
            'rows' => IntakeCsv::rows($servings, $foods, $people),
        ]))
            ->setEncodingOptions(
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
            )
            ->withHeaders(['Content-Disposition' => "attachment; filename=\"intake-{$from}-{$to}.json\""]);
    }

    /** Looks at a file; nothing is written. */
    public function preview(Request $request): JsonResponse
    {
        return new JsonResponse(IntakeCsv::news(self::text($request), Person::atTable()));
    }

    /** Takes over the good rows of a file, all or none. */
    public function bring(Request $request, RecordOtherFood $write): JsonResponse
    {
        $key = $request->validate(
            ['requestKey' => ['required', 'string', 'ulid']],
            ['requestKey.*' => 'errors.request_key'],
        )['requestKey'];
        $rows = IntakeCsv::news(self::text($request), Person::atTable())['rows'];
        $written = $write->all(
            array_map(
                static fn(array $row): array => [
                    'person_id' => $row['personId'],
                    'eaten_on' => $row['date'],
                    'name' => $row['name'],
                    'sodium_mg' => $row['sodiumMg'],
                    'instead_of' => $row['insteadOf'],
                    'how' => ['by' => 'mg', 'milligrams' => $row['sodiumMg']],
                ],
                $rows,
            ),
            array_map(static fn(array $row): string => IdempotencyKey::numbered($key, $row['line']), $rows),
        );

        return new JsonResponse(['count' => count($written)], 201);
    }

    private static function text(Request $request): string
    {
        return $request->validate(
            ['text' => ['required', 'string', 'max:2000000']],
            ['text.required' => 'errors.csv_empty', 'text.max' => 'errors.text_2_mb', 'text.*' => 'errors.text'],
        )['text'];
    }

    private static function daysBefore(string $date, int $days): string
    {
        return CarbonImmutable::parse($date)->subDays($days)->toDateString();
    }

    /**
     * @return array{string, string} first and last day, YYYY-MM-DD
     *
     * @throws ValidationException
     */
    private function span(Request $request): array
    {
        $asked = $request->validate(
            [
                'from' => ['nullable', 'string', 'date_format:Y-m-d'],
                'to' => ['nullable', 'string', 'date_format:Y-m-d'],
                'days' => ['nullable', 'integer', 'min:1', 'max:' . self::MOST_DAYS],
            ],
            [
                'from.*' => 'errors.date',
                'to.*' => 'errors.date',
                'days.*' => Message::of('errors.days_range', most: self::MOST_DAYS)->encode(),
            ],
        );
        $to = $asked['to'] ?? $this->current->get()->today();
        $from = $asked['from'] ?? self::daysBefore($to, (int) ($asked['days'] ?? self::USUAL_DAYS) - 1);
        if ($from > $to || Household::daysBetween($from, $to) >= self::MOST_DAYS) {
            throw ValidationException::withMessages(['from' => 'errors.date_range']);
        }

        return [$from, $to];
    }
}
