<?php

declare(strict_types=1);

use App\Language\Catalogue;
use App\Language\Words;
use App\Pantry\FoodTable;
use App\Pantry\FormulaLibrary;
use App\Pantry\LibraryText;
use Illuminate\Support\Arr;
use Tempesal\Core\Formula\Formula;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Formula\FormulaLine;
use Tempesal\Core\Message\LibraryName;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Salt\StartingSalts;

/*
 * What the library says of its formulas, held against what the core knows of them.
 */

/** @return array<string, array{array<string, mixed>}> by key */
function libraryDocuments(): array
{
    return array_map(fn(array $document): array => [$document], array_column(FormulaLibrary::documents(), null, 'key'));
}

/** @param  array<string, mixed>  $document */
function answerOf(array $document): FormulaAnswer
{
    return FormulaAnswer::of(Formula::read($document, FoodTable::pantry()));
}

/** @return list<string> keys of the foods in a formula */
function foodsIn(FormulaAnswer $answer): array
{
    return array_values(array_filter(array_map(fn(FormulaLine $line): ?string => $line->food?->id, $answer->lines)));
}

it('names exactly the allergens that its foods bring', function (array $document): void {
    $brought = array_map(fn(Allergen $one): string => $one->value, answerOf($document)->allergens());
    $said = [];
    foreach ($document['cautions'] as $caution) {
        if (preg_match('/^Contains (.+)\.$/', $caution, $list) === 1) {
            array_push($said, ...preg_split('/, | and /', $list[1]));
        }
    }
    sort($brought);
    sort($said);
    expect($said)->toBe($brought);
})->with(libraryDocuments(...));

it('asks for care where it is needed', function (array $document): void {
    $english = Catalogue::of('en');
    $has = fn(string $caution): bool => in_array(
        $english->pattern("formula_caution.{$caution}"),
        $document['cautions'],
        true,
    );
    $answer = answerOf($document);
    $foods = foodsIn($answer);
    expect($has('live'))->toBe($document['isLive'], 'live');
    if (array_intersect($foods, ['chilli-flakes', 'red-chilli', 'habanero']) !== [] && $answer->makesG() > 0.0) {
        // A pinch of flakes in a ketchup needs no gloves.
        $hot = array_sum(
            array_map(
                fn(FormulaLine $line): float => in_array(
                    $line->food?->id,
                    ['chilli-flakes', 'red-chilli', 'habanero'],
                    true,
                )
                    ? $line->grams
                    : 0.0,
                $answer->lines,
            ),
        );
        expect($has('chilli') || $hot / $answer->makesG() < 0.03)->toBeTrue('chilli');
    }
    expect($has('raw_egg') || $has('warm_egg'))->toBe(in_array('egg-yolk', $foods, true), 'egg');
    expect($has('no_ferment'))->toBe($document['group'] === 'quick pickles', 'quick pickle');
    expect($has('mandoline') && !in_array('green-cabbage', $foods, true))->toBeFalse();
})->with(libraryDocuments(...));

it('speaks in whole, short sentences', function (array $document): void {
    $sentences = [
        $document['summary'],
        $document['keeping']['text'],
        ...Arr::flatten(Arr::only($document, ['work', 'signs', 'why', 'schools', 'notes', 'cautions'])),
    ];
    expect(count($sentences))->toBeGreaterThan(5);
    foreach ($sentences as $sentence) {
        expect($sentence)
            ->toMatch('/^[A-Z0-9].*\.$/u')
            ->not->toContain('  ')
            // Longer than this nobody reads it with wet hands.
            ->and(mb_strlen($sentence))
            ->toBeLessThan(280, $sentence);
    }
    expect($document['name'])->toMatch('/^[A-Z][^.]*$/u');
})->with(libraryDocuments(...));

it('is shown in English as it is kept, and elsewhere with the same figures', function (array $document): void {
    makeUpLanguage();
    $figures = fn(array $of): array => array_filter(Arr::dot($of), fn(mixed $value): bool => !is_string($value));
    expect(LibraryText::shown($document, $document['key'], Words::in('en-GB')))->toEqual($document);
    $shown = LibraryText::shown($document, $document['key'], Words::in('en-XA'));
    expect($figures($shown))
        ->toEqual($figures($document))
        ->and(array_keys(Arr::dot($shown)))
        ->toEqualCanonicalizing(array_keys(Arr::dot($document)))
        ->and($shown['name'])
        ->not->toBe($document['name'])
        ->and($shown['keeping']['text'])
        ->toStartWith('⟦')
        ->and(count($shown['cautions']))
        ->toBe(count($document['cautions']));
    // Read by the core, it is the same formula.
    expect(answerOf($shown)->typicalServingMg())->toBe(answerOf($document)->typicalServingMg());
})->with(libraryDocuments(...));

it('touches nothing that is not of the library, and survives what is odd', function (mixed $change): void {
    makeUpLanguage();
    $words = Words::in('en-XA');
    $kraut = FormulaLibrary::document('plain-kraut');
    expect(LibraryText::shown([...$kraut, ...$change], null, $words))->toBe([...$kraut, ...$change]);
    $shown = LibraryText::shown([...$kraut, ...$change], 'plain-kraut', $words);
    foreach ($change as $field => $value) {
        is_string($value) && expect($shown[$field])->toBe($value);
    }
    expect(LibraryText::shown([...$kraut, ...$change], 'no-such-formula', $words)['method'])->toBe('dry_salting');
})->with([
    'another name' => [['name' => 'Our kraut']],
    'another summary' => [['summary' => 'The way we make it.']],
    'no lists' => [['work' => 'once', 'signs' => null, 'why' => 3]],
    'nothing kept' => [['keeping' => null, 'vessel' => 'a jar', 'cautions' => 'none']],
    'a step of the cook\'s own' => [['work' => ['Sing to it.', 'Wait.']]],
]);

it('calls foods and salts as the catalogue does', function (): void {
    $foods = FoodTable::all();
    expect(count($foods))->toBe(254);
    foreach ($foods as $food) {
        expect(LibraryName::food($food['key'], $food['name']))->toEqual(
            Message::of('food.' . str_replace('-', '_', $food['key']), name: $food['name']),
        );
    }
    $english = Catalogue::of('en');
    foreach (StartingSalts::all() as $salt) {
        expect($english->pattern($salt->label()->code))->toBe($salt->name);
    }
    expect(array_unique(array_column($foods, 'name')))->toHaveCount(254);
});

it('keeps what another has named', function (string $key, string $name): void {
    makeUpLanguage();
    foreach (['en', 'en-XA', 'xx'] as $language) {
        expect(Words::in($language)->say(LibraryName::food($key, $name)))
            ->toBe($name)
            ->and(Words::in($language)->say(LibraryName::salt($key, $name)))
            ->toBe($name)
            ->and(Words::in($language)->say(LibraryName::formula($key, $name)))
            ->toBe($name);
    }
})->with([
    ['carrot', 'heritage carrot'],
    ['own-01hzzzzzzzzzzzzzzzzzzzzzzz', 'Plum paste'],
    ['', 'nameless'],
    ['../../etc', '{name} <b>&</b>'],
    ['kale', ''],
    ['plain-kraut', '⟦'],
]);

it('cautions where a food can hurt someone', function (array $document): void {
    $foods = foodsIn(answerOf($document));
    $said = implode(' ', $document['cautions']);
    // Infant botulism: CDC and NHS on honey; vitamin K beside warfarin: NHS; potassium in kidney disease: National Kidney
    // Foundation; all from memory.
    foreach (
        [
            'children under one year' => ['honey'],
            'potassium' => ['beetroot', 'tomato', 'passata', 'tomato-paste', 'cherry-tomato', 'green-tomato'],
            'iodine' => ['kelp'],
            'vitamin K' => [
                'green-cabbage',
                'red-cabbage',
                'napa-cabbage',
                'kale',
                'spinach',
                'mustard-greens',
                'collard-greens',
                'pak-choi',
            ],
        ]
        as $words => $of
    ) {
        expect(str_contains($said, $words))->toBe(array_intersect($of, $foods) !== [], "{$document['name']}: {$words}");
    }
    expect(str_contains($said, 'alcohol'))->toBe(
        $document['serving']['phase'] === 'brine' ||
            array_intersect($foods, ['kefir', 'water-kefir', 'kombucha', 'white-wine', 'beer']) !== [],
    );
    expect(str_contains($said, 'pasteurised milk'))->toBe(array_intersect($foods, ['milk', 'cream']) !== []);
    if ($document['isLive']) {
        expect($said)->toContain('linezolid')->toContain('pregnant');
    }
})->with(libraryDocuments(...));
