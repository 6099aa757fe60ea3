<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * Refuses, before anything of it is read, what no screen sends: an address with bytes that no address has, a body that
 * is larger than any change of a kitchen, a value that stands deeper than any document.
 */
final class RejectMalformedRequests
{
    /** Bytes of a body; files of a whole kitchen, recipes, logs and intake are larger than what is typed. */
    private const MOST_TYPED = 512 * 1024;

    private const LARGE = [
        'api/kitchen/file/*' => 8 * 1024 * 1024,
        'api/kitchen/file' => 50 * 1024 * 1024,
        'api/notes/*/photo' => 10 * 1024 * 1024,
        'api/*/import' => 12 * 1024 * 1024,
        'api/*/preview' => 8 * 1024 * 1024,
        'api/rooms/*/log' => 4 * 1024 * 1024,
    ];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $path = rawurldecode($request->getPathInfo());
        if (str_contains($path, "\0") || !mb_check_encoding($path, 'UTF-8')) {
            throw new NotFoundHttpException();
        }
        if ((int) $request->headers->get('Content-Length', '0') > self::most($request)) {
            throw new HttpException(413);
        }

        return $next($request);
    }

    private static function most(Request $request): int
    {
        foreach (self::LARGE as $pattern => $bytes) {
            if ($request->is($pattern)) {
                return $bytes;
            }
        }

        return self::MOST_TYPED;
    }
}
