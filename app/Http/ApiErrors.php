<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Tempesal\Core\TempesalException;
use Throwable;

/**
 * How the application says no: a sentence for the cook, the detail in the log.
 */
final class ApiErrors
{
    private const SENTENCES = [
        401 => 'Please sign in again; what you typed is kept.',
        403 => 'That belongs to another kitchen.',
        404 => 'There is nothing here by that name.',
        405 => 'That cannot be done here.',
        413 => 'That is too large to send.',
        419 => 'This page was open for too long. Nothing is lost: try once more.',
        429 => 'That was too often in a short time. Wait a minute and try again.',
        500 => 'Something went wrong on our side. Nothing was changed; try again.',
        503 => 'Tempesal is not ready yet. Try again in a moment.',
    ];

    private const NAMES = ['Batch' => 'batch', 'Person' => 'person', 'Jar' => 'jar', 'Salt' => 'salt', 'Ingredient' => 'ingredient', 'Serving' => 'serving', 'Formula' => 'formula', 'HoldDown' => 'weight', 'BatchEntry' => 'entry', 'Note' => 'note', 'ChoreMark' => 'chore', 'RoomSpell' => 'spell', 'OtherFood' => 'food', 'PlannedBatch' => 'planned batch', 'PlannedServing' => 'planned serving'];

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => self::isApi($request));
        $exceptions->render(static function (Throwable $error, Request $request): ?JsonResponse {
            if (! self::isApi($request)) {
                return null;
            }

            return match (true) {
                $error instanceof AuthenticationException => self::say(401),
                $error instanceof NotFoundHttpException && $error->getPrevious() instanceof ModelNotFoundException => self::say(404, self::missing($error->getPrevious())),
                $error instanceof HttpExceptionInterface => self::say($error->getStatusCode()),
                $error instanceof TempesalException => new JsonResponse(['message' => $error->getMessage(), 'errors' => (object) []], 422),
                $error instanceof ValidationException, (bool) config('app.debug') => null,
                default => self::say(500),
            };
        });
    }

    private static function isApi(Request $request): bool
    {
        // Whatever bytes the rest of the address is made of.
        return str_starts_with($request->getPathInfo(), '/api/');
    }

    private static function say(int $status, ?string $message = null): JsonResponse
    {
        return new JsonResponse(['message' => $message ?? self::SENTENCES[$status] ?? self::SENTENCES[500]], $status);
    }

    /** @param  ModelNotFoundException<\Illuminate\Database\Eloquent\Model>  $error */
    private static function missing(ModelNotFoundException $error): string
    {
        $name = self::NAMES[class_basename($error->getModel())] ?? 'thing';

        return "There is no such {$name} in your kitchen.";
    }
}
