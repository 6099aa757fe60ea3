<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Household\CurrentHousehold;
use App\Intake\CultureLogs;
use App\Intake\Intakes;
use App\Models\Household;
use App\Models\Person;
use App\Models\ReportLink;
use App\Support\InvalidInput;
use App\Views\IntakeView;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Tempesal\Core\Message\Message;

/**
 * What one person ate in the last four weeks, for whoever holds the link to it, and nothing else of the kitchen.
 */
final readonly class SharedReportController
{
    private const DAYS = 28;

    public function __invoke(string $secret, CurrentHousehold $current): JsonResponse
    {
        $link = ReportLink::withSecret($secret) ?? abort(404);
        $household = Household::query()->findOrFail($link->household_id);

        return $current->during($household, static function () use ($household, $link): JsonResponse {
            $person = Person::query()->findOrFail($link->person_id);
            $to = $household->today();
            $from = CarbonImmutable::parse($to)
                ->subDays(self::DAYS - 1)
                ->toDateString();
            $kept =
                Intakes::of($person, $from, $to) ??
                throw InvalidInput::at('from', Message::of('errors.no_intake', name: $person->name));

            return new JsonResponse([
                'expiresAt' => $link->expires_at->toIso8601String(),
                'intake' => [
                    'from' => $kept->days[0]->date,
                    'to' => $to,
                    'today' => $to,
                    ...IntakeView::of($person, $kept, CultureLogs::of($person, $household), null, null),
                ],
            ]);
        });
    }
}
