<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Calendar\ChoreCalendar;
use App\Household\CurrentHousehold;
use App\Household\HouseholdTransaction;
use App\Language\ReaderLanguage;
use App\Models\Batch;
use App\Models\CalendarLink;
use App\Models\Household;
use App\Models\PlannedBatch;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/**
 * The chores for the household's own calendars: as a file, or under a secret address that can be revoked.
 */
final readonly class CalendarController
{
    public function __construct(private CurrentHousehold $current) {}

    public function show(): JsonResponse
    {
        $link = CalendarLink::query()->where('revoked_at', null)->latest('id')->first();

        return new JsonResponse([
            'path' => $link === null ? null : "/calendar/{$link->secret}.ics",
            'madeOn' => $link === null ? null : $this->current->get()->dateOf($link->created_at),
        ]);
    }

    /** A new secret address; the one before it is revoked. */
    public function make(HouseholdTransaction $transaction): JsonResponse
    {
        $transaction(static function (): void {
            self::revokeAll();
            $secret = Str::random(48);
            CalendarLink::create(['secret' => $secret, 'secret_hash' => hash('sha256', $secret)]);
        });

        return $this->show()->setStatusCode(201);
    }

    public function revoke(HouseholdTransaction $transaction): JsonResponse
    {
        $transaction(self::revokeAll(...));

        return $this->show();
    }

    public function file(Request $request): Response
    {
        return self::calendar($this->current->get(), $request)->header(
            'Content-Disposition',
            'attachment; filename="jars.ics"',
        );
    }

    /**
     * What a calendar fetches that knows the address and nothing else; the address can name the language (?locale=).
     */
    public function feed(Request $request, string $secret): Response
    {
        $link = CalendarLink::query()
            ->withoutGlobalScopes()
            ->where('secret_hash', hash('sha256', $secret))
            ->where('revoked_at', null)
            ->first();
        abort_if($link === null, 404);
        $household = Household::query()->findOrFail($link->household_id);

        return $this->current->during($household, static fn(): Response => self::calendar($household, $request));
    }

    private static function revokeAll(): void
    {
        CalendarLink::query()
            ->where('revoked_at', null)
            ->update(['revoked_at' => CarbonImmutable::now()]);
    }

    private static function calendar(Household $household, Request $request): Response
    {
        return (new Response(
            ChoreCalendar::of(
                $household,
                Batch::onShelf()->orderBy('started_at')->get(),
                PlannedBatch::toStart(),
                ReaderLanguage::ofHousehold($household, $request),
            ),
        ))
            ->header('Content-Type', 'text/calendar; charset=utf-8')
            ->header('Cache-Control', 'private, max-age=300');
    }
}
