<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Household\HouseholdTransaction;
use App\Models\AnsweredRequest;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Database\ConcurrencyErrorDetector;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;
use Tempesal\Core\Message\Message;
use Throwable;

/**
 * A change that comes with a key, in the header Idempotency-Key or as "requestKey" in its body, is made once. The same
 * request again is answered as the first was; another one with the same key is refused with what was written. What is
 * refused for any reason leaves no key behind, and no trace.
 */
final readonly class ApplyIdempotencyKey
{
    public const HEADER = 'Idempotency-Key';

    /** Answers are kept for as long as a device may be without a network, and well beyond. */
    private const KEPT_DAYS = 90;

    private const MOST_BYTES = 4_000_000;

    public function __construct(private HouseholdTransaction $transaction) {}

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $key = $request->header(self::HEADER) ?? $request->input('requestKey');
        if ($key === null) {
            return $next($request);
        }
        if (!is_string($key) || !Str::isUlid($key)) {
            return new JsonResponse(
                [
                    'message' => Message::of('errors.request_key'),
                    'errors' => ['requestKey' => [Message::of('errors.request_key')]],
                ],
                422,
            );
        }
        try {
            return ($this->transaction)(fn(): Response => $this->once(strtoupper($key), $request, $next));
        } catch (RejectedChange $refusal) {
            return $refusal->response;
        }
    }

    /**
     * @param  Closure(Request): Response  $next
     *
     * @throws RejectedChange so that nothing of it stays
     */
    private function once(string $key, Request $request, Closure $next): Response
    {
        $operation = mb_strimwidth("{$request->method()} {$request->path()}", 0, 160);
        $digest = self::digest($operation, $request);
        $known = AnsweredRequest::query()->where('key', $key)->first();
        if ($known !== null) {
            return match (true) {
                $known->spent_at !== null => self::conflict(Message::of('errors.saved_and_undone'), $known),
                $known->digest !== $digest => self::conflict(Message::of('errors.saved_differently'), $known),
                default => new JsonResponse($known->answer, $known->status, json: true),
            };
        }
        $response = $next($request);
        if ($response->getStatusCode() >= 400) {
            throw self::isConcurrency($response) ?? new RejectedChange($response);
        }
        AnsweredRequest::query()
            ->where('created_at', '<', CarbonImmutable::now()->subDays(self::KEPT_DAYS))
            ->delete();
        $answer = (string) $response->getContent();
        AnsweredRequest::create([
            'key' => $key,
            'operation' => $operation,
            'digest' => $digest,
            'status' => $response->getStatusCode(),
            'answer' => strlen($answer) > self::MOST_BYTES ? '{}' : $answer,
        ]);

        return $response;
    }

    /** What was written, and when, so that the screen can offer to change it. */
    private static function conflict(Message $message, AnsweredRequest $known): JsonResponse
    {
        return new JsonResponse(
            [
                'message' => $message,
                'written' => [
                    'operation' => $known->operation,
                    'at' => $known->created_at->toIso8601String(),
                    'isUndone' => $known->spent_at !== null,
                    'answer' => (object) json_decode($known->answer, true),
                ],
            ],
            409,
        );
    }

    private static function digest(string $operation, Request $request): string
    {
        $body = $request->except(['requestKey', ...array_keys($request->allFiles())]);
        $files = array_map(
            static fn(mixed $file): string => $file instanceof UploadedFile && $file->isValid()
                ? (string) hash_file('sha256', $file->getPathname())
                : '',
            $request->allFiles(),
        );

        return hash(
            'sha256',
            json_encode([$operation, self::sorted($body), $files], JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
        );
    }

    /**
     * The same whatever the order of its fields.
     *
     * @param  array<array-key, mixed>  $values
     * @return array<array-key, mixed>
     */
    private static function sorted(array $values): array
    {
        if (!array_is_list($values)) {
            ksort($values);
        }

        return array_map(static fn(mixed $value): mixed => is_array($value) ? self::sorted($value) : $value, $values);
    }

    /** Two that waited for each other: the transaction begins again. */
    private static function isConcurrency(Response $response): ?Throwable
    {
        $error =
            $response instanceof JsonResponse || $response instanceof \Illuminate\Http\Response
                ? $response->exception
                : null;

        return $error !== null && app(ConcurrencyErrorDetector::class)->causedByConcurrencyError($error)
            ? $error
            : null;
    }
}
