<?php

/*
 * For PHP's built-in server: files that exist are sent as they are, built ones with a long life,
 * everything else goes to the application.
 */

$path = parse_url($_SERVER['REQUEST_URI'] ?? '/', PHP_URL_PATH);
$path = is_string($path) ? rawurldecode($path) : '/';
$file = str_contains($path, "\0") ? false : realpath(__DIR__ . $path);
$types = [
    'js' => 'text/javascript',
    'css' => 'text/css',
    'woff2' => 'font/woff2',
    'woff' => 'font/woff',
    'svg' => 'image/svg+xml',
    'png' => 'image/png',
    'ico' => 'image/x-icon',
    'json' => 'application/json',
];

if ($file !== false && is_file($file) && str_starts_with($file, __DIR__ . DIRECTORY_SEPARATOR)) {
    $type = $types[pathinfo($file, PATHINFO_EXTENSION)] ?? null;
    if ($type !== null) {
        header("Content-Type: {$type}");
        header('X-Content-Type-Options: nosniff');
        header(
            'Cache-Control: ' .
                (str_contains($file, '/build/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'),
        );
        readfile($file);

        return true;
    }
}

require __DIR__ . '/index.php';
