<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Support\WhenDone;
use Carbon\CarbonImmutable;
use Carbon\Exceptions\InvalidFormatException;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Tempesal\Core\Message\Message;

/**
 * A change that waited on a device says in the header Done-At when it was done. It is written at that moment; one that
 * waited for too long, or says a moment that is none, is refused.
 */
final class HearWhenDone
{
    /** A device's clock may be ahead by so much, in minutes; what it did then is done now. */
    private const AHEAD_MINUTES = 2;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $said = $request->header(WhenDone::HEADER);
        if (!is_string($said)) {
            return $next($request);
        }
        $moment = self::moment($said);
        $now = CarbonImmutable::now();
        if (
            $moment === null ||
            $moment->isAfter($now->addMinutes(self::AHEAD_MINUTES)) ||
            $moment->isBefore($now->subDays(WhenDone::LONGEST_DAYS))
        ) {
            $refusal = Message::of('errors.done_at', days: WhenDone::LONGEST_DAYS);

            return new JsonResponse(['message' => $refusal, 'errors' => ['doneAt' => [$refusal]]], 422);
        }
        $request->attributes->set(WhenDone::class, $moment);

        return $next($request);
    }

    /** Only a whole moment with its zone is one. */
    private static function moment(string $said): ?CarbonImmutable
    {
        if (preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/', $said) !== 1) {
            return null;
        }
        try {
            return CarbonImmutable::parse($said)->utc();
        } catch (InvalidFormatException) {
            return null;
        }
    }
}
