<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * While an answer that changes nothing is worked out, PHP does not look for rings of things that hold each other: a shelf of
 * hundred jars made it look a dozen times, a tenth of the whole, for what is all let go in the next moment. What is sent piece
 * by piece, as a kitchen's file, is made after that and looked through as ever.
 */
final class LeaveGarbage
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (!$request->isMethodSafe() || !gc_enabled()) {
            return $next($request);
        }
        gc_disable();
        try {
            return $next($request);
        } finally {
            gc_enable();
        }
    }
}
