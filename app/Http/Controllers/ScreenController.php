<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * Every address that is not the API shows the screens; which one is theirs to decide.
 */
final class ScreenController
{
    /** What stands between the screens and the network; at the root, so that it may stand before every address. */
    public function worker(): Response
    {
        $worker = public_path('build/worker.js');
        is_file($worker) ?: throw new NotFoundHttpException();

        return new Response((string) file_get_contents($worker), 200, [
            'Content-Type' => 'text/javascript',
            'Cache-Control' => 'no-cache',
            // It asks for what it keeps by itself.
            'Content-Security-Policy' => "default-src 'self'; frame-ancestors 'none'",
        ]);
    }

    public function __invoke(): Response
    {
        $page = public_path('build/index.html');
        if (!is_file($page)) {
            return new Response('The screens are not built yet. Run ./tempesal demo, or npm run build.', 503, [
                'Content-Type' => 'text/plain',
            ]);
        }

        return new Response((string) file_get_contents($page), 200, [
            'Cache-Control' => 'no-cache',
            'Content-Security-Policy' =>
                "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self' data:; " .
                "frame-ancestors 'none'; base-uri 'self'; form-action 'self'",
        ]);
    }
}
