<?php

declare(strict_types=1);

use App\Language\Catalogue;
use App\Pantry\FormulaLibrary;
use Illuminate\Support\Arr;
use App\Language\StoredText;
use App\Language\Words;
use Symfony\Component\Process\Process;
use Tempesal\Core\Message\Day;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;

/*
 * The catalogue: every sentence that anybody sees, once, in messages/, and used; the same words whether PHP's intl or
 * the screens' library fills them.
 */

/** @return array<string, string> */
function patterns(): array
{
    return Catalogue::of(Catalogue::FALLBACK)->patterns();
}

/** @return string all that can name a code */
function code(): string
{
    static $all = null;
    if ($all === null) {
        $root = dirname(__DIR__, 2);
        $all = '';
        foreach (['core', 'app', 'ops', 'web/src'] as $folder) {
            foreach (
                new RecursiveIteratorIterator(
                    new RecursiveDirectoryIterator("{$root}/{$folder}", FilesystemIterator::SKIP_DOTS),
                )
                as $file
            ) {
                if (
                    preg_match('/\.(php|tsx?)$/', (string) $file) === 1 &&
                    !str_contains((string) $file, 'contract.gen')
                ) {
                    $all .= file_get_contents((string) $file);
                }
            }
        }
    }

    return $all;
}

/** Values for every name that a pattern speaks of: numbers where it counts, a day where it writes one. */
function sample(string $pattern, int $turn): array
{
    preg_match_all('/\{\s*(\w+)\s*(?:,\s*(\w+)(?:\s*,\s*([^{}]*))?)?/', $pattern, $found, PREG_SET_ORDER);
    $values = [];
    foreach ($found as $one) {
        $kind = $one[2] ?? '';
        preg_match_all('/([\w=]+)\s*\{/', substr($pattern, (int) strpos($pattern, $one[0]) + 1), $options);
        $values[$one[1]] ??= match ($kind) {
            'number', 'plural' => [1, 1234.5, 0, 0.25][$turn % 4],
            'date' => ['day' => '2026-11-24'],
            'select' => $options[1][$turn % max(1, count($options[1]))] ?? 'other',
            default => ['kraut', 12, 'a {b} <i>'][$turn % 3],
        };
    }

    return $values;
}

it('has every code that is used, and uses every code it has', function (): void {
    $all = patterns();
    // A code in full, or the beginning of one whose end is a word of the code.
    preg_match_all('/[\'"`]@?([a-z_]+\.[a-z0-9_]+)[\'"`]/', code(), $whole);
    preg_match_all('/[\'"`]([a-z_]+\.[a-z0-9_]*)(?:\{\$|\$\{|[\'"]\s*\.)/', code(), $begun);
    preg_match_all('/named\([\'"`]([a-z_]+)/', code(), $words);
    $subjects = array_unique(array_map(fn(string $code): string => strtok($code, '.'), array_keys($all)));
    $asked = array_filter(
        array_unique($whole[1]),
        fn(string $code): bool => in_array(strtok($code, '.'), $subjects, true),
    );
    // Settings, relations and fields of requests that look like codes.
    $notCodes = [
        'text.max',
        'text.required',
        'name.max',
        'name.required',
        'password.min',
        'batch.of',
        'app.url',
        'app.demo',
        'app.debug',
        'formula.newest',
        'batch.likeness',
        'entry.kind',
    ];
    expect(
        array_values(
            array_diff(
                $asked,
                array_keys($all),
                $notCodes,
                preg_grep('/\.(php|json|tsx?|required|css|csv|txt|ics|http_)$/', $asked) ?: [],
            ),
        ),
    )->toBe([]);
    $begins = [
        ...array_unique($begun[1]),
        ...array_map(fn(string $word): string => str_ends_with($word, '_') ? $word : "{$word}.", $words[1]),
    ];
    // The texts of the library's formulas are found by their places in it.
    $ofLibrary = array_filter(
        array_merge(...array_map(fn(array $one): array => array_values(Arr::dot($one)), FormulaLibrary::documents())),
        is_string(...),
    );
    array_push($asked, ...array_keys(array_intersect($all, array_unique($ofLibrary))));
    $unused = array_filter(
        array_keys($all),
        fn(string $code): bool => !in_array($code, $asked, true) &&
            array_filter($begins, fn(string $begin): bool => str_starts_with($code, $begin)) === [],
    );
    expect(array_values($unused))->toBe([]);
});

it('says the same by PHP and on the screens, in any locale', function (string $locale): void {
    $asked = [];
    foreach (patterns() as $code => $pattern) {
        // Elements around words are for the screens alone.
        if (preg_match('/<\w/', $pattern) !== 1) {
            foreach ([0, 1, 2] as $turn) {
                $asked[] = ['code' => $code, 'values' => (object) sample($pattern, $turn)];
            }
        }
    }
    $words = Words::in($locale);
    $node = new Process(['node', 'tests/Language/say.mjs', $words->locale], dirname(__DIR__, 2));
    $node->setInput((string) json_encode($asked));
    $node->mustRun();
    $screens = json_decode($node->getOutput(), true);
    expect(count($asked))->toBeGreaterThan(4000);
    foreach ($asked as $i => $one) {
        $message = Message::read((array) json_decode((string) json_encode($one), true));
        // Kinds of space and the comma after a weekday are a matter of the editions of ICU.
        $bare = fn(string $text): string => (string) preg_replace(
            '/[\x{00A0}\x{202F}]/u',
            ' ',
            str_replace(',', '', $text),
        );
        expect($bare($words->say($message)))->toBe($bare($screens[$i]), $one['code']);
    }
})->with(['en-GB', 'en-US', 'de-DE', 'fr-CA']);

it('keeps to plain words', function (): void {
    $old =
        '/\b(reckon\w*|meanwhile|anew|thereof|falls due|counts as nothing|is in hand|take back|' .
        'goes by what|put it right|write it down|bring in|let it be|leave it be|keep it\b(?! (?:below|' .
        'cold|cool|in the)))|!|\p{Extended_Pictographic}/iu';
    foreach (patterns() as $code => $pattern) {
        expect(preg_match($old, $pattern))->toBe(0, "{$code}: {$pattern}");
    }
});

it('carries messages through text and back', function (): void {
    $message = Message::of(
        'conflict.not_for',
        jar: 'Kraut {1}',
        day: new Day('2026-11-24'),
        eater: 'Ada',
        why: Message::of('objection.allergen', allergens: Listed::all([Message::of('allergen.fish'), 'soy'])),
    );
    expect(Message::decode($message->encode()))->toEqual($message);
    expect(said(StoredText::read(StoredText::of($message))))->toBe(
        'Kraut {1} on Tuesday: not for Ada. It contains fish and soy, to be avoided.',
    );
    // Somebody's own words stay as they are, whatever they look like.
    foreach (['@home', '@errors.no_such_code', 'errors.name', '', '@x.y{"a":'] as $own) {
        expect(said(StoredText::read($own)))->toBe($own);
    }
});

it('joins as many as there are', function (): void {
    $join = fn(string ...$items): string => (string) said(
        Message::of('check.because', reasons: Listed::any(array_values($items))),
    );
    expect([$join(), $join('a'), $join('a', 'b'), $join('a', 'b', 'c'), $join('a', 'b', 'c', 'd')])->toBe([
        '',
        'a',
        'a or b',
        'a, b or c',
        'a, b, c or d',
    ]);
});

it('falls back on English for a language that is not there', function (): void {
    expect(Words::in('xx')->say(Message::of('errors.name')))->toBe('Enter a name.');
    expect(fn() => Words::in('en')->say(Message::of('errors.no_such_code')))->toThrow(LogicException::class);
});

it('writes numbers as the reader\'s country does, whatever the language', function (
    string $asked,
    string $locale,
    string $written,
): void {
    $words = Words::in($asked);
    expect($words->locale)
        ->toBe($locale)
        ->and($words->say(Message::of('advice.overflow', ml: 12450)))
        ->toContain($written);
})->with([
    ['en-GB', 'en-GB', '12,450'],
    ['sv', 'en-SE', "12\u{00A0}450"],
    ['de-DE', 'en-DE', '12.450'],
    ['de', 'en-DE', '12.450'],
    ['nl', 'en-NL', '12.450'],
    ['xx', 'en', '12,450'],
]);

it('says in every other language what English says, with the same values', function (): void {
    makeUpLanguage();
    $named = fn(string $pattern): array => array_keys(sample($pattern, 0));
    $languages = array_diff(array_map(basename(...), glob(dirname(__DIR__, 2) . '/messages/*', GLOB_ONLYDIR) ?: []), [
        'en',
    ]);
    expect($languages)->toContain('en-XA');
    foreach ($languages as $language) {
        foreach (Catalogue::of($language)->patterns() as $code => $pattern) {
            expect(MessageFormatter::create('en', $pattern))->not->toBeNull("{$language}: {$code}");
            expect(array_diff($named($pattern), $named(patterns()[$code] ?? '')))->toBe([], "{$language}: {$code}");
        }
    }
});
