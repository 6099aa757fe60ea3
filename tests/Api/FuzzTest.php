<?php

declare(strict_types=1);

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Contract;
use Tests\Support\Templates;
use Tests\TestCase;

/*
 * Requests that no screen sends: each begins as one that succeeds and is then bent somewhere. Whatever comes, the
 * answer is one of the contract, comes soon, and a refusal changes no row. The seed is printed with a failure;
 * TEMPESAL_SEED sets it.
 */

const FUZZ_PARTS = 4;

/** Requests of a part; all parts together come to more than 3,000. TEMPESAL_FUZZ asks for more. */
define('FUZZ_REQUESTS', (int) (getenv('TEMPESAL_FUZZ') ?: 760));

/** Seconds of the processor after which an answer is not to be waited for; how long it takes in all depends on the machine. */
const FUZZ_ENDLESS_S = 10.0;

const FUZZ_MOST_SHOWN = 5;

function fuzzSeed(): int
{
    static $seed = null;

    return $seed ??= (int) (getenv('TEMPESAL_SEED') ?: random_int(1, 999_999));
}

/** A sum over every row of every table. */
function fuzzRows(): string
{
    static $tables = null;
    $tables ??= implode(
        ', ',
        array_map(
            fn(string $table): string => "`{$table}`",
            array_diff(array_column(Schema::getTables(DB::getDatabaseName()), 'name'), [
                'migrations',
                'cache',
                'cache_locks',
            ]),
        ),
    );

    return json_encode(DB::select("CHECKSUM TABLE {$tables}"));
}

/** Something else in the place of a value. */
function fuzzValue(Randomizer $chance, mixed $value): mixed
{
    $odd = [
        null,
        true,
        false,
        '',
        ' ',
        0,
        -1,
        1,
        1e308,
        -1e308,
        0.1,
        2 ** 53,
        PHP_INT_MAX,
        '0',
        '-5 g',
        '1e999',
        "\0",
        "a\0b",
        "\u{202E}x",
        '😀',
        [],
        [[]],
        new stdClass(),
        ['a' => ['b' => ['c' => 1]]],
        [null],
        ['x', 1, null],
        '2026-02-30',
        '0000-00-00',
        '9999-12-31',
        '2020-01-01',
        '2026-11-26T25:61:00Z',
        '%00',
        '../../etc',
        "' OR 1=1 --",
        '<b>x</b>',
        'NaN',
        'Infinity',
        '1/0',
        '⅓ cup',
        '3 tbsp 2 tsp',
        '=1+1',
        (string) Str::ulid(),
        '01ARZ3NDEKTSV4RRFFQ69G5FAV',
        str_repeat('x', 300),
        str_repeat('9', 400),
        str_repeat('a ', 3000),
    ];
    $kind = $chance->getInt(0, 9);

    return match (true) {
        $kind === 0 => array_fill(0, 2400, is_array($value) ? $value[0] ?? 'x' : $value),
        $kind === 1 => is_array($value) ? [...$value, ...$value] : [$value],
        $kind === 2 => ['added' => [$value], 'removed' => [$value]],
        $kind === 3 && is_numeric($value) => $value * [-1, 1000, 1e-9, 1e12][$chance->getInt(0, 3)],
        $kind === 3 && is_string($value) => $value . ['', '0', ' kg', "\n", 'é'][$chance->getInt(0, 4)],
        default => $odd[$chance->getInt(0, count($odd) - 1)],
    };
}

/** The same with one thing in it bent: a value changed, a field left out or one too many, somewhere in its depth. */
function fuzzBody(Randomizer $chance, mixed $body): mixed
{
    if (!is_array($body) || $body === [] || $chance->getInt(0, 24) === 0) {
        return fuzzValue($chance, $body);
    }
    $keys = array_keys($body);
    $key = $keys[$chance->getInt(0, count($keys) - 1)];
    if (is_array($body[$key]) && $body[$key] !== [] && $chance->getInt(0, 3) > 0) {
        $body[$key] = fuzzBody($chance, $body[$key]);
    } elseif ($chance->getInt(0, 7) === 0) {
        unset($body[$key]);
        $body = array_is_list($body) || !is_int($key) ? $body : array_values($body);
    } elseif ($chance->getInt(0, 9) === 0) {
        $body[is_int($key) ? count($body) : 'another'] = fuzzValue($chance, 'x');
    } else {
        $body[$key] = fuzzValue($chance, $body[$key]);
    }

    return $body;
}

/** An address with one part or one question bent. */
function fuzzPath(Randomizer $chance, string $path): string
{
    [$path, $query] = [...explode('?', $path, 2), ''];
    $odd = [
        '%00',
        'x',
        '..%2f..',
        str_repeat('y', 200),
        '0',
        '%F0%9F%98%80',
        '-1',
        '2026-13-45',
        '1999-01-01',
        '9999-12-31',
        (string) Str::ulid(),
        '%FF',
        '%27',
    ];
    if ($query !== '' && strlen($query) < 2000 && $chance->getInt(0, 2) > 0) {
        parse_str($query, $asked);
        $asked = fuzzBody($chance, $asked);

        return $path . '?' . (is_array($asked) ? http_build_query($asked) : 'q[]=x');
    }
    $parts = explode('/', $path);
    if (count($parts) < 3) {
        return "{$path}?" .
            ['q[]=x', 'q=%00', 'by[]=1&batches[]=x', 'version=x', 'personId[a][b]=c', 'days=-1', 'warmer=1e9'][
                $chance->getInt(0, 6)
            ];
    }
    $parts[$chance->getInt(2, count($parts) - 1)] = $odd[$chance->getInt(0, count($odd) - 1)];

    return implode('/', $parts) . ($query === '' ? '' : "?{$query}");
}

/** @param  array{path: string, body?: mixed, files?: array<string, string>}  $request */
function fuzzSend(TestCase $test, string $method, array $request): TestResponse
{
    $files = array_map(
        fn(string $content): UploadedFile => UploadedFile::fake()->createWithContent('file', $content),
        $request['files'] ?? [],
    );
    $body = $request['body'] ?? null;
    $isForm = $files !== [];
    // A form carries texts and lists of them.
    $form =
        $isForm && is_array($body)
            ? (array) json_decode((string) json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR), true)
            : [];
    array_walk_recursive($form, function (mixed &$value): void {
        $value = strval($value);
    });
    $content =
        $isForm || $body === null
            ? ''
            : (is_string($body)
                ? $body
                : (string) json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR));

    return $test->call(
        $method,
        "/api{$request['path']}",
        $form,
        [],
        $files,
        [
            'CONTENT_TYPE' => $isForm ? 'multipart/form-data' : 'application/json',
            'CONTENT_LENGTH' => strlen($content),
            'HTTP_ACCEPT' => 'application/json',
        ],
        $content,
    );
}

it('succeeds with each operation of the contract', function (): void {
    $this->asCook($this->cook());
    $templates = new Templates($this);
    $failed = [];
    foreach (Contract::read()->operations() as $operation) {
        [$method] = explode(' ', $operation);
        $templates->signIn();
        $request = $templates->of($operation);
        $templates->signIn($request['cook'] ?? null);
        $answer = fuzzSend($this, $method, $request);
        if (!$answer->isSuccessful()) {
            $failed[$operation] = "{$answer->getStatusCode()} " . mb_substr((string) $answer->getContent(), 0, 300);
        }
    }
    expect($failed)->toBe([]);
});

/** What this process has taken of the processor. */
function processorSeconds(): float
{
    $usage = getrusage() ?: [];

    return ($usage['ru_utime.tv_sec'] ?? 0) +
        ($usage['ru_stime.tv_sec'] ?? 0) +
        (($usage['ru_utime.tv_usec'] ?? 0) + ($usage['ru_stime.tv_usec'] ?? 0)) / 1e6;
}

it('answers whatever is sent, in a sentence and without an end to wait for, and a refusal changes nothing', function (
    int $part,
): void {
    $seed = fuzzSeed() + $part;
    $chance = new Randomizer(new Mt19937($seed));
    $this->asCook($this->cook());
    $templates = new Templates($this);
    $operations = $chance->shuffleArray(Contract::read()->operations());
    $refused = 0;
    $failed = [];
    for ($number = 0; $number < FUZZ_REQUESTS; $number++) {
        $operation = $operations[$number % count($operations)];
        [$method] = explode(' ', $operation);
        // Each in the kitchen as it was at first.
        DB::beginTransaction();
        $templates->signIn();
        $request = $templates->of($operation);
        $bends = $chance->getInt(1, 3);
        for ($bend = 0; $bend < $bends; $bend++) {
            if (isset($request['body']) && is_array($request['body']) && $chance->getInt(0, 5) > 0) {
                $request['body'] = fuzzBody($chance, $request['body']);
            } elseif (isset($request['files']) && $chance->getInt(0, 1) === 0) {
                $request['files'] = array_map(
                    fn(string $content): string => substr($content, 0, $chance->getInt(0, 400)),
                    $request['files'],
                );
            } else {
                $request['path'] = fuzzPath($chance, $request['path']);
            }
        }
        if (isset($request['body']) && $chance->getInt(0, 39) === 0) {
            $request['body'] = ['{', '[]', '"x"', 'null', '{"a":' . str_repeat('[', 600), "\xff"][
                $chance->getInt(0, 5)
            ];
        }
        $templates->signIn($request['cook'] ?? null);
        $before = fuzzRows();
        $began = processorSeconds();
        $answer = fuzzSend($this, $method, $request);
        $took = processorSeconds() - $began;
        $status = $answer->getStatusCode();
        $refused += $status >= 400 ? 1 : 0;
        $after = $status >= 400 ? fuzzRows() : '';
        DB::rollBack();
        $wrong = array_keys(
            array_filter([
                'an error of ours' => $status >= 500,
                'endless' => $took > FUZZ_ENDLESS_S,
                'refused, and a row is changed' => $status >= 400 && $before !== $after,
                'refused without a sentence' =>
                    $status >= 400 && !is_string(json_decode((string) $answer->getContent(), true)['message'] ?? null),
            ]),
        );
        if ($wrong !== [] && count($failed) < FUZZ_MOST_SHOWN) {
            $failed[] = sprintf(
                'Seed %d, request %d, %s: %s %s is answered %d in %.1f s: %s',
                $seed,
                $number,
                implode(', ', $wrong),
                $operation,
                mb_substr((string) json_encode($request, JSON_PARTIAL_OUTPUT_ON_ERROR), 0, 1200),
                $status,
                $took,
                mb_substr((string) $answer->getContent(), 0, 300),
            );
        }
    }
    expect($failed)->toBe([]);
    expect($refused)->toBeGreaterThan(FUZZ_REQUESTS / 4);
})->with(range(0, FUZZ_PARTS - 1));
