<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * Answers go packed to whoever reads that. A server before this one may do it as well: what is packed already stays so.
 */
final class PackAnswer
{
    /** Below that it is not worth it. */
    private const LEAST_BYTES = 800;

    private const LEVEL = 5;

    public function handle(Request $request, Closure $next): Response
    {
        /** @var Response $response */
        $response = $next($request);
        $body =
            $response instanceof BinaryFileResponse || $response instanceof StreamedResponse
                ? false
                : $response->getContent();
        if (
            is_string($body) &&
            strlen($body) >= self::LEAST_BYTES &&
            !$response->headers->has('Content-Encoding') &&
            in_array('gzip', $request->getEncodings(), true) &&
            preg_match('~^(application/(ld\+)?json|text/)~', (string) $response->headers->get('Content-Type')) === 1
        ) {
            $response->setContent((string) gzencode($body, self::LEVEL));
            $response->headers->set('Content-Encoding', 'gzip');
            $response->headers->remove('Content-Length');
            $response->setVary('Accept-Encoding', false);
        }

        return $response;
    }
}
