<?php

/*
 * For PHP's built-in server: files that exist are sent as they are, packed where the build has packed them and the browser
 * reads that; built ones with a long life. Everything else goes to the application.
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
    'webmanifest' => 'application/manifest+json',
];

if ($file !== false && is_file($file) && str_starts_with($file, __DIR__ . DIRECTORY_SEPARATOR)) {
    $type = $types[pathinfo($file, PATHINFO_EXTENSION)] ?? null;
    if ($type !== null) {
        $isBuilt = str_contains($file, '/build/assets/');
        $tag = '"' . dechex((int) filemtime($file)) . '-' . dechex((int) filesize($file)) . '"';
        header("Content-Type: {$type}");
        header('X-Content-Type-Options: nosniff');
        header('Cross-Origin-Resource-Policy: same-origin');
        header('Vary: Accept-Encoding');
        header("ETag: {$tag}");
        header('Cache-Control: ' . ($isBuilt ? 'public, max-age=31536000, immutable' : 'no-cache'));
        if (($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $tag) {
            http_response_code(304);

            return true;
        }
        foreach (['br' => 'br', 'gzip' => 'gz'] as $encoding => $extension) {
            $asked = preg_match("/\\b{$encoding}\\b/", (string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? '')) === 1;
            if ($isBuilt && $asked && is_file("{$file}.{$extension}")) {
                header("Content-Encoding: {$encoding}");
                $file = "{$file}.{$extension}";
                break;
            }
        }
        header('Content-Length: ' . filesize($file));
        readfile($file);

        return true;
    }
}

require __DIR__ . '/index.php';
