<?php

declare(strict_types=1);

use App\Models\AnsweredRequest;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Tests\Support\Contract;
use Tests\Support\Templates;

/*
 * What is written is written once: the same request again is answered as before, another one under its key is refused
 * with what was written, and what is refused leaves nothing behind.
 */

beforeEach(function (): void {
    $this->asCook($this->cook());
    $this->batch = $this->startJar([
        'startedOn' => CarbonImmutable::now('UTC')->subDays(8)->toDateString(),
    ])->json('id');
    $this->ada = $this->getJson('/api/kitchen')->json('people.0.id');
    $this->portion = fn(array $as = []): array => [
        'batchId' => $this->batch,
        'personId' => $this->ada,
        'amount' => '30 g',
        'requestKey' => (string) Str::ulid(),
        ...$as,
    ];
});

/** Every operation of the contract that changes something under a key. */
function keyedOperations(): array
{
    $document = Contract::read()->document;

    return array_values(
        array_filter(Contract::read()->operations(), function (string $operation) use ($document): bool {
            [$method, $path] = explode(' ', $operation);

            return isset($document['paths'][$path][strtolower($method)]['responses']['409']);
        }),
    );
}

it('does each change once, whatever is asked again', function (): void {
    expect(count(keyedOperations()))->toBeGreaterThan(50);
    $templates = new Templates($this);
    $failed = [];
    foreach (keyedOperations() as $operation) {
        [$method] = explode(' ', $operation);
        $request = $templates->of($operation);
        if (isset($request['files'])) {
            continue;
        }
        $templates->signIn();
        $body = array_diff_key($request['body'] ?? [], ['requestKey' => 1]);
        $key = (string) Str::ulid();
        $send = fn(array $more = []) => $this->json($method, "/api{$request['path']}", [
            ...$body,
            'requestKey' => $key,
            ...$more,
        ]);
        $first = $send();
        $rows = AnsweredRequest::query()->count();
        $again = $send();
        $right =
            $first->isSuccessful() &&
            $again->getStatusCode() === $first->getStatusCode() &&
            json_decode((string) $again->getContent(), true) == json_decode((string) $first->getContent(), true) &&
            AnsweredRequest::query()->count() === $rows;
        if (!$right) {
            $failed[$operation] = [
                $first->getStatusCode(),
                $again->getStatusCode(),
                mb_substr((string) $again->getContent(), 0, 200),
            ];
        }
    }
    expect($failed)->toBe([]);
});

it('answers a repeated serving as before, and refuses another under its key with what was written', function (): void {
    $body = ($this->portion)();
    $first = $this->postJson('/api/servings', $body)->assertCreated();
    expect($this->postJson('/api/servings', array_reverse($body))->assertCreated()->json())
        ->toBe($first->json())
        ->and(Serving::query()->count())
        ->toBe(1);

    $other = $this->postJson('/api/servings', [...$body, 'amount' => '55 g'])->assertConflict();
    expect($other->json('written.answer.id'))
        ->toBe($first->json('id'))
        ->and($other->json('written.answer.grams'))
        ->toEqual(30)
        ->and($other->json('written.isUndone'))
        ->toBeFalse()
        ->and(Serving::query()->count())
        ->toBe(1);
    // The same key for another address is another request too.
    $this->postJson('/api/other-foods', [
        'personId' => $this->ada,
        'name' => 'bread',
        'how' => ['by' => 'mg', 'milligrams' => 1],
        'requestKey' => $body['requestKey'],
    ])->assertConflict();
});

it('does not bring back what was undone since', function (): void {
    $body = ($this->portion)();
    $serving = $this->postJson('/api/servings', $body)->json('id');
    $this->deleteJson("/api/servings/{$serving}")->assertOk();

    expect($this->postJson('/api/servings', $body)->assertConflict()->json('written.isUndone'))
        ->toBeTrue()
        ->and(Serving::query()->whereNull('undone_at')->count())
        ->toBe(0);
});

it('leaves no key behind a refusal', function (): void {
    $body = ($this->portion)(['amount' => 'a plate']);
    $this->postJson('/api/servings', $body)->assertUnprocessable();
    expect(AnsweredRequest::query()->where('key', $body['requestKey'])->exists())->toBeFalse();
    $this->postJson('/api/servings', [...$body, 'amount' => '30 g'])->assertCreated();
});

it('takes the key of a header as it takes one of the body, and knows keys by kitchen', function (): void {
    $key = (string) Str::ulid();
    $jar = [
        'name' => 'Tall jar',
        'nominalMl' => 720,
        'mouthMm' => 70,
        'bodyMm' => 82,
        'cover' => 'clamp',
        'howMany' => 2,
    ];
    $add = fn() => $this->postJson('/api/jars', $jar, ['Idempotency-Key' => $key])->assertSuccessful();
    $jars = fn(): int => collect($this->getJson('/api/kitchen')->json('jars'))
        ->where('name', 'Tall jar')
        ->count();
    $add();
    $add();
    expect($jars())->toBe(1);
    $this->postJson('/api/jars', $jar, ['Idempotency-Key' => 'x'])->assertJsonValidationErrors(['requestKey']);

    $this->asCook($this->cook('neighbour@example.org'));
    expect($jars())->toBe(0);
    $add();
    expect($jars())->toBe(1);
});
