<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Auth\AuthenticationException;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;
use Tempesal\Core\Message\Message;
use Tempesal\Core\TempesalException;
use Throwable;

/**
 * How the application says no: a message for the cook, the detail in the log.
 */
final class ApiErrors
{
    /** Those that are told apart; any other is an error of ours. */
    private const TOLD = [401, 403, 404, 405, 409, 413, 419, 429, 500, 503];

    /** How often one error is written to the log in a minute. */
    private const LOGGED_A_MINUTE = 5;

    /** What a row is called where it is not there, by its model. */
    private const NAMES = [
        'Batch',
        'Person',
        'Jar',
        'Salt',
        'Ingredient',
        'Serving',
        'Formula',
        'BatchEntry' => 'entry',
        'HoldDown' => 'weight',
        'Note',
        'ChoreMark' => 'chore',
        'RoomSpell' => 'spell',
        'Invitation',
        'Membership' => 'member',
        'Device',
        'OtherFood' => 'food',
        'PlannedBatch' => 'planned_batch',
        'PlannedServing' => 'planned_serving',
    ];

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->shouldRenderJsonWhen(static fn(Request $request): bool => self::isApi($request));
        $exceptions->report(static function (Throwable $error): ?bool {
            if (!ServerAway::isMeant($error)) {
                return null;
            }
            ServerAway::log($error);

            return false;
        });
        // The same error again and again says nothing new.
        $exceptions->throttle(
            static fn(Throwable $error): Limit => Limit::perMinute(self::LOGGED_A_MINUTE)->by(
                $error::class . $error->getFile() . $error->getLine(),
            ),
        );
        $exceptions->render(static function (Throwable $error, Request $request): ?JsonResponse {
            if (!self::isApi($request)) {
                return null;
            }

            return match (true) {
                $error instanceof AuthenticationException => self::say(401),
                $error instanceof NotFoundHttpException && $error->getPrevious() instanceof ModelNotFoundException
                    => self::say(404, self::missing($error->getPrevious())),
                $error instanceof AccessDeniedHttpException && str_starts_with($error->getMessage(), 'errors.')
                    => self::say(403, Message::of($error->getMessage())),
                $error instanceof TooManyRequestsHttpException => self::tooMany($error),
                $error instanceof HttpExceptionInterface => self::say($error->getStatusCode()),
                $error instanceof TempesalException => new JsonResponse(
                    ['message' => $error->explanation(), 'errors' => (object) []],
                    422,
                ),
                $error instanceof ValidationException => self::invalid($error),
                ServerAway::isMeant($error) => self::say(503)->withHeaders([
                    'Retry-After' => (string) ServerAway::ASK_AGAIN_S,
                ]),
                (bool) config('app.debug') => null,
                default => self::say(500),
            };
        });
    }

    private static function isApi(Request $request): bool
    {
        // Whatever bytes the rest of the address is made of.
        return str_starts_with($request->getPathInfo(), '/api/');
    }

    private static function say(int $status, ?Message $message = null): JsonResponse
    {
        return new JsonResponse(
            [
                'message' =>
                    $message ?? Message::of('errors.http_' . (in_array($status, self::TOLD, true) ? $status : 500)),
            ],
            $status,
        );
    }

    private static function tooMany(HttpExceptionInterface $error): JsonResponse
    {
        $headers = array_intersect_key($error->getHeaders(), ['Retry-After' => true]);
        $seconds = (int) ($headers['Retry-After'] ?? 60);

        return self::say(429, Message::of('errors.http_429', minutes: max(1, (int) ceil($seconds / 60))))->withHeaders(
            $headers,
        );
    }

    /** Field by field, and the first of them by itself. */
    private static function invalid(ValidationException $error): JsonResponse
    {
        $errors = array_map(
            static fn(array $messages): array => array_map(
                static fn(string $message): Message => self::message($message),
                array_values($messages),
            ),
            $error->errors(),
        );
        $first = reset($errors);

        return new JsonResponse(
            ['message' => $first === false ? Message::of('errors.http_422') : $first[0], 'errors' => (object) $errors],
            $error->status,
        );
    }

    /** What travelled through Laravel's validator as a text; one of its own sentences is not for cooks. */
    private static function message(string $encoded): Message
    {
        return Message::decode($encoded) ?? Message::of('errors.invalid');
    }

    /** @param  ModelNotFoundException<\Illuminate\Database\Eloquent\Model>  $error */
    private static function missing(ModelNotFoundException $error): Message
    {
        $model = class_basename($error->getModel());
        $name = self::NAMES[$model] ?? (in_array($model, self::NAMES, true) ? strtolower($model) : null);

        return Message::of($name === null ? 'errors.http_404' : "errors.no_such_{$name}");
    }
}
