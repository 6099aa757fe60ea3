<?php

declare(strict_types=1);

use Smalot\PdfParser\Parser;

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
    foreach (['sheet', 'single'] as $layout) {
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
