<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Household\CurrentHousehold;
use App\Http\Responses\IntakePage;
use App\Models\Household;
use App\Models\Person;
use App\Models\ReportLink;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;

/**
 * What one person ate in the last four weeks, for whoever holds the link to it, and nothing else of the kitchen.
 */
final readonly class SharedReportController
{
    private const DAYS = 28;

    public function __invoke(string $secret, CurrentHousehold $current, IntakePage $page): JsonResponse
    {
        $link = ReportLink::withSecret($secret) ?? abort(404);
        $household = Household::query()->findOrFail($link->household_id);
        $to = $household->today();
        $from = CarbonImmutable::parse($to)
            ->subDays(self::DAYS - 1)
            ->toDateString();

        return $current->during(
            $household,
            static fn(): JsonResponse => new JsonResponse([
                'expiresAt' => $link->expires_at->toIso8601String(),
                'intake' => $page->of(Person::query()->findOrFail($link->person_id), $from, $to),
            ]),
        );
    }
}
