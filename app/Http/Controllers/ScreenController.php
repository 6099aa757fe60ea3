<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\Response;

/**
 * Every address that is not the API shows the screens; which one is theirs to decide.
 */
final class ScreenController
{
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
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'same-origin',
        ]);
    }
}
