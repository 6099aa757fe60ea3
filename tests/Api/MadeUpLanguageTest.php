<?php

declare(strict_types=1);

use App\Language\Words;
use App\Models\Formula;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Smalot\PdfParser\Parser;
use Tempesal\Core\Message\LibraryName;
use Tempesal\Core\Message\Message;

/*
 * What is written for the reader outside the screens, in a made-up language of accented letters
 * (tests/Language/made-up.mjs): a plain word in it is one that somebody in the kitchen wrote, or one that is not from
 * the catalogue.
 */

beforeEach(function (): void {
    makeUpLanguage();
    $this->asCook($this->cook());
});

/** @return list<string> words of plain letters that are none of these */
function strangeWords(string $text, string ...$known): array
{
    $known = explode(
        ' ',
        strtolower(
            implode(' ', [...$known, 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec Mon Tue Wed Thu Fri Sat Sun']),
        ),
    );
    preg_match_all('/(?<![\p{L}\d])[A-Za-z]{3,}(?!\p{L})/u', $text, $found);

    return array_values(
        array_unique(array_filter($found[0], fn(string $word): bool => !in_array(strtolower($word), $known, true))),
    );
}

it('prints labels from the catalogue', function (): void {
    $this->startJar(['name' => 'Carrots']);
    foreach (['sheet', 'letter', 'single'] as $layout) {
        $file = $this->get("/api/labels/pdf?layout={$layout}&locale=en-XA")
            ->assertOk()
            ->getContent();
        $text = (new Parser())->parseContent((string) $file)->getText();
        expect($text)->toContain('Carrots', '⟦')->and(strangeWords($text, 'Carrots'))->toBe([]);
    }
});

it('writes the calendar and the shopping list from the catalogue', function (): void {
    $this->startJar(['name' => 'Carrots']);
    $file = (string) $this->get('/api/calendar/file?locale=en-XA')->assertOk()->getContent();
    preg_match_all('/^(?:SUMMARY|DESCRIPTION|X-WR-CALNAME)[^:]*:((?:.*\r\n[ \t])*.*)$/m', $file, $found);
    $said = str_replace(["\r\n ", '\\n', '\\,', '\\;'], ['', ' ', ',', ';'], implode(' ', $found[1]));
    expect($said)->toContain('⟦')->and(strangeWords($said, 'Carrots', 'Test kitchen'))->toBe([]);

    $list = (string) $this->get('/api/timeline/shopping?as=text&locale=en-XA')->assertOk()->getContent();
    expect($list)->toContain('⟦')->and(strangeWords($list))->toBe([]);
});

it('hands recipes out in words, of the language that is asked for', function (): void {
    $recipes = $this->get('/api/formulas/export?as=jsonld&locale=en-XA')->assertOk()->json('@graph');
    expect($recipes)->not->toBe([]);
    foreach ($recipes as $recipe) {
        expect($recipe['recipeYield'])->toBeString()->toContain('⟦')->and($recipe['cookingMethod'])->toContain('⟦');
    }
});
it('names foods, salts and formulas of the library in the language that is asked for', function (): void {
    $this->withHeader('Accept-Language', 'en-XA');
    $kitchen = $this->wholeKitchen();
    expect(strangeWords(implode(' ', array_column($kitchen['ingredients'], 'name'))))
        ->toBe([])
        ->and(strangeWords(implode(' ', array_column($kitchen['salts'], 'name'))))
        ->toBe([]);

    $formulas = $this->getJson('/api/formulas')->assertOk()->json('formulas');
    expect(count($formulas))->toBe(49);
    foreach ($formulas as $formula) {
        expect(strangeWords("{$formula['name']} {$formula['summary']}"))->toBe([]);
    }
    foreach (Formula::query()->pluck('id') as $id) {
        $page = $this->getJson("/api/formulas/{$id}")
            ->assertOk()
            ->json();
        $texts = [
            $page['name'],
            $page['summary'],
            $page['vessel']['holdDown'],
            $page['document']['keeping']['text'],
            ...array_column($page['lines'], 'name'),
            ...$page['work'],
            ...$page['signs'],
            ...$page['why'],
            ...$page['schools'],
            ...$page['cautions'],
            ...$page['notes'],
        ];
        expect(strangeWords(implode(' ', $texts)))->toBe([], $page['name']);
    }
    $hits = $this->getJson('/api/foods?q=ƈářřóť')->json('ids');
    expect($hits)->not->toBe([]);
});

it('leaves to the cook what the cook wrote', function (): void {
    $kraut = Formula::query()->where('key', 'plain-kraut')->sole();
    $document = $kraut->newest->document;
    $this->putJson("/api/formulas/{$kraut->id}", [
        'document' => [...array_diff_key($document, ['key' => '']), 'summary' => 'The way we make it.'],
        'basedOn' => 1,
        'requestKey' => (string) Str::ulid(),
    ])->assertOk();
    $this->withHeader('Accept-Language', 'en-XA');
    $page = $this->getJson("/api/formulas/{$kraut->id}")
        ->assertOk()
        ->json();
    expect($page['summary'])
        ->toBe('The way we make it.')
        ->and($page['work'][0])
        ->toContain('⟦')
        ->and($page['name'])
        ->toContain('⟦');

    // A food that is called otherwise keeps its name, in lists and in what happened to a jar.
    expect(Words::in('en-XA')->say(LibraryName::food('carrot', 'carrot')))
        ->toContain('⟦')
        ->and(Words::in('en-XA')->say(LibraryName::food('carrot', 'our carrots')))
        ->toBe('our carrots')
        ->and(Words::in('en-XA')->say(LibraryName::food('own-01hz', 'Aunt’s relish')))
        ->toBe('Aunt’s relish')
        ->and(Words::in('en-XA')->say(LibraryName::food('No key!', 'x')))
        ->toBe('x');
});

it('tells a jar\'s history with the library\'s names', function (): void {
    $batch = $this->startJar(['name' => 'Carrots']);
    $this->withHeader('Accept-Language', 'en-XA');
    $this->getJson("/api/batches/{$batch['id']}")->assertOk();
    $entries = json_decode($this->sent, true)['entries'];
    $words = Words::in('en-XA');
    $said = array_map(fn(array $entry): string => $words->say(Message::read($entry['text'])), $entries);
    expect(implode(' ', $said))->toContain('⟦')->and(strangeWords(implode(' ', $said)))->toBe([]);
});

it('prints labels and feeds the calendar in the household\'s language, whoever asks', function (): void {
    $this->startJar(['name' => 'Carrots']);
    $kitchen = $this->wholeKitchen();
    expect($kitchen['language'])->toStartWith('en')->and($kitchen['languages'])->toContain('en', 'en-XA');
    $save = fn(mixed $language) => $this->putJson('/api/household', [
        'version' => $this->getJson('/api/kitchen')->json('version'),
        'language' => $language,
    ]);
    foreach (['', 'no language', '../en', 7, str_repeat('a', 40)] as $odd) {
        $save($odd)->assertUnprocessable()->assertJsonPath('errors.language.0', 'Choose a language.');
    }
    $save('en-XA')->assertOk()->assertJsonPath('language', 'en-XA');

    // A kitchen that came in as a file may name anything.
    DB::table('households')->update(['language' => '../../tests']);
    $this->get('/api/calendar/file')->assertOk();
    DB::table('households')->update(['language' => 'en-XA']);

    $this->postJson('/api/calendar')->assertCreated();
    $feed = $this->getJson('/api/calendar')->json('path');
    $label = fn(string $query): string => (new Parser())
        ->parseContent(
            (string) $this->get("/api/labels/pdf?layout=sheet{$query}")
                ->assertOk()
                ->getContent(),
        )
        ->getText();
    $this->withHeader('Accept-Language', 'en-GB');
    expect($label(''))
        ->toContain('⟦')
        ->and($label('&locale=en-GB'))
        ->not->toContain('⟦')
        ->and((string) $this->get($feed)->assertOk()->getContent())
        ->toContain('⟦')
        ->and(
            (string) $this->get("{$feed}?locale=en-GB")
                ->assertOk()
                ->getContent(),
        )
        ->not->toContain('⟦');
});
