<?php

declare(strict_types=1);

use App\Pantry\FoodTable;
use App\Pantry\FormulaLibrary;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Interchange\FormulaImport;
use Tempesal\Core\Interchange\RecipeLine;
use Tempesal\Core\Interchange\SchemaRecipe;
use Tempesal\Core\Formula\Formula;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Measure\Habit;

function looked(string $text): array
{
    return (new FormulaImport(FoodTable::pantry(), FoodTable::recipeText()))->look($text, json_decode($text, true, 40));
}

function pasted(string $line): RecipeLine
{
    return FoodTable::recipeText()->line(1, $line);
}

it('reads a line of a recipe', function (string $line, string $id, float $grams): void {
    $read = pasted($line);
    expect($read->problem)
        ->toBeNull(said($read->problem) ?? '')
        ->and($read->id)
        ->toBe($id)
        ->and($read->grams)
        ->toEqualWithDelta($grams, 0.02 * $grams);
})->with([
    ['900 g green cabbage, shredded', 'green-cabbage', 900.0],
    ['2 lb napa cabbage', 'napa-cabbage', 907.2],
    ['1 1/2 lbs carrots, peeled and cut into sticks', 'carrot', 680.4],
    ['- 3 cloves of garlic, crushed', 'garlic', 15.0],
    ['1 head garlic', 'garlic', 50.0],
    ['2 medium onions, sliced', 'onion', 250.0],
    ['½ cup fish sauce', 'fish-sauce', 142.0],
    ['1 tbsp caraway seeds', 'caraway', 7.4],
    ['2 tablespoons sugar', 'sugar', 25.1],
    ['1 lb 4 oz daikon', 'white-radish', 567.0],
    ['a bunch of dill', 'dill', 35.0],
    ['500 ml water, filtered', 'water', 499.1],
    ['2 cups warm water', 'water', 472.3],
    ['1 tsp sea salt', 'fine-sea', 5.5],
    ['2 tbsp flaky kosher salt', 'flaky-kosher', 18.0],
    ['18 g pickling salt', 'pickling', 18.0],
    ['1 tbsp salted shrimp', 'salted-shrimp', 17.0],
    ['6 jalapeños, halved', 'green-chilli', 90.0],
    ['1 kg courgettes', 'zucchini', 1000.0],
    ['200 g Chinese cabage', 'napa-cabbage', 200.0],
    ['4 tbsp gochugaru', 'chilli-flakes', 22.5],
    ['1 egg yolk', 'egg-yolk', 17.5],
    ['1,5 kg beetroots', 'beetroot', 1500.0],
    ['.75 lb green beans', 'green-beans', 340.2],
    ['1-1/2 tbsp pickling salt', 'pickling', 27.75],
    ['3/4 t fine sea salt', 'fine-sea', 4.125],
    ['2 T pickling salt', 'pickling', 37.0],
    ['2 c. water', 'water', 472.3],
    ['a dozen jalapeños', 'green-chilli', 180.0],
    ['half a dozen carrots', 'carrot', 390.0],
    ['2 bay leaves', 'bay-leaf', 0.5],
    ['3 vine leaves', 'vine-leaves', 10.5],
    ['1 stalk celery', 'celery', 45.0],
    ['200 g red chillies', 'red-chilli', 200.0],
    // A range is its middle, a cup of what is cut is what such cups weigh, a leaf is a leaf.
    ['2-3 tbsp fine sea salt', 'fine-sea', 41.25],
    ['1 tbsp – 2 tbsp pickling salt', 'pickling', 27.75],
    ['1/2-3/4 tsp sea salt', 'fine-sea', 3.4375],
    ['250-300g carrots', 'carrot', 275.0],
    ['4 c. chopped green cabbage', 'green-cabbage', 356.0],
    ['8 cups shredded green cabbage', 'green-cabbage', 600.0],
    ['2 cabbage leaves', 'green-cabbage', 50.0],
    ['3 slices ginger', 'ginger', 6.0],
    ['1 tsp garlic powder', 'garlic-powder', 3.1],
    ['1 tsp celery seed', 'celery-seed', 2.2],
    ['500 g chillies', 'red-chilli', 500.0],
    ['1 cup beer', 'beer', 236.6],
    ['a 400 g tin of tomatoes', 'tomato', 400.0],
]);

it('asks the cook where it does not know, and drops nothing', function (string $line, string $question): void {
    $read = pasted($line);
    expect($read->isSettled())
        ->toBeFalse()
        ->and(said($read->problem))
        ->toContain($question)
        ->and($read->text)
        ->toBe($line);
})->with([
    ['3 tbsp kosher salt', 'Which food do you mean'],
    ['salt to taste', 'Which food do you mean'],
    ['2 cups unobtainium', 'is not a known food'],
    ['some carrots', 'is not an amount'],
    ['1 cup coriander', 'Which food do you mean'],
    ['=SUM(A1:A9)', 'spreadsheet'],
    ['+cmd|calc', 'spreadsheet'],
    // Salt that is read low is sodium that is told low.
    ['2 - 1/2 lb carrots', 'goes down'],
    ['2 fine sea salt', 'enter a weight or a measure'],
    ['20 pickling salt', 'enter a weight or a measure'],
    ['1,200 g carrots', 'could be'],
    ['-2 tbsp pickling salt', 'zero or more'],
    ['-2 cups water', 'zero or more'],
    ['1 tin tomatoes', 'How much is in it'],
    ['a jar of live sauerkraut juice', 'How much is in it'],
    ['2 cloves', 'Which food do you mean'],
    ['1 tbsp salt of the earth and of the sea', 'Which food do you mean'],
]);

it('begins a formula from a pasted recipe', function (): void {
    [$candidate] = looked(
        "Grandmother's carrots:\n\nIngredients\n* 2 lb carrots\n* 4 cups water\n* 2 tbsp pickling salt\n" .
            "* 3 cloves garlic\n* a handful of love\n\nMethod\n1. Cut the carrots.\n2. Pour the brine over.\n",
    );
    $formula = Formula::read($candidate['document'], FoodTable::pantry());
    expect($formula->name)
        ->toBe("Grandmother's carrots")
        ->and($formula->method->value)
        ->toBe('poured_brine')
        ->and($formula->work)
        ->toBe(['Cut the carrots.', 'Pour the brine over.'])
        ->and($formula->texts['notes'])
        ->toBe(['a handful of love'])
        ->and(array_column($candidate['problems'], 'path'))
        ->toBe(['line 8'])
        ->and(FormulaAnswer::of($formula)->strength())
        ->toEqualWithDelta(37 / 946.4, 0.001);
});

it('guesses the method from what goes in', function (string $text, string $method): void {
    expect(looked($text)[0]['document']['method'])->toBe($method);
})->with([
    ["1 kg cabbage green\n22 g pickling salt", 'dry_salting'],
    ["500 g carrots\n500 g water\n15 g pickling salt", 'poured_brine'],
    ["300 g red radish\n400 g water\n80 g pickling salt", 'quick_salt_pickle'],
    ["340 g tomato paste\n60 g sweet whey\n3 g sea salt", 'cultured_condiment'],
]);

it('comes back from schema.org JSON-LD without a loss', function (): void {
    foreach (FormulaLibrary::documents() as $document) {
        $answer = FormulaAnswer::of(Formula::read($document, FoodTable::pantry()));
        $text = json_encode(SchemaRecipe::of($answer), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
        [$back] = looked($text);
        expect($back['document'])->toEqual($document)->and($back['problems'])->toBe([]);
    }
});

// schema.org/Recipe, schema.org/NutritionInformation: the properties and their types, from memory.
it('has the shape of a schema.org recipe', function (): void {
    foreach (FormulaLibrary::documents() as $document) {
        $recipe = SchemaRecipe::of(FormulaAnswer::of(Formula::read($document, FoodTable::pantry())));
        expect($recipe['@context'])
            ->toBe('https://schema.org')
            ->and($recipe['@type'])
            ->toBe('Recipe')
            ->and($recipe['nutrition']['@type'])
            ->toBe('NutritionInformation')
            ->and($recipe['nutrition']['sodiumContent'])
            ->toMatch('/^\d+ mg$/')
            ->and($recipe['nutrition']['servingSize'])
            ->toMatch('/^[\d.]+ g$/')
            ->and($recipe['totalTime'])
            ->toMatch('/^P\d+D$/')
            ->and(said($recipe['recipeYield']))
            ->toMatch('/^\d+ servings? of [\d.]+ g$/');
        foreach ($recipe['recipeIngredient'] as $ingredient) {
            expect(said($ingredient))->toMatch('/^[\d,.]+ g .+/');
        }
        foreach ($recipe['recipeInstructions'] as $step) {
            expect($step['@type'])->toBe('HowToStep')->and($step['text'])->not->toBe('');
        }
        $known = [
            '@context',
            '@type',
            'name',
            'description',
            'recipeCategory',
            'cookingMethod',
            'recipeYield',
            'totalTime',
            'recipeIngredient',
            'recipeInstructions',
            'nutrition',
            'encoding',
        ];
        expect(array_diff(array_keys($recipe), $known))->toBe([]);
    }
});

it('reads a recipe that another program made', function (): void {
    $recipe = [
        '@type' => ['Thing', 'Recipe'],
        'name' => '<b>Kraut</b>',
        'recipeIngredient' => ['1 kg green cabbage', '1.5 tbsp sea salt', '1 pinch of luck'],
        'recipeInstructions' => [
            [
                '@type' => 'HowToSection',
                'itemListElement' => [
                    ['@type' => 'HowToStep', 'text' => 'Shred it.'],
                    ['@type' => 'HowToStep', 'text' => '<script>alert(1)</script>Salt it.'],
                ],
            ],
        ],
    ];
    [$candidate] = looked(json_encode(['@graph' => [['@type' => 'WebPage'], $recipe]], JSON_THROW_ON_ERROR));
    expect($candidate['document']['work'])
        ->toBe(['Shred it.', 'alert(1)Salt it.'])
        ->and($candidate['problems'])
        ->toHaveCount(1)
        ->and($candidate['document']['steps'][0]['salt']['grams'])
        ->toEqualWithDelta(24.75, 0.1);
});

it('brings many in at once and names what is wrong with each', function (): void {
    $good = FormulaLibrary::documents()[0];
    $found = looked(
        json_encode(
            [
                'tempesal' => 'formulas',
                'version' => 1,
                'formulas' => [
                    $good,
                    [...$good, 'steps' => 'none'],
                    7,
                    [...$good, 'name' => ['a' => 1]],
                    array_replace_recursive($good, [
                        'steps' => [0 => ['base' => [0 => ['grams' => 1e999]]]],
                    ]),
                ],
            ],
            JSON_THROW_ON_ERROR | JSON_PARTIAL_OUTPUT_ON_ERROR,
        ),
    );
    expect($found[0]['problems'])
        ->toBe([])
        ->and($found[1]['problems'][0]['path'])
        ->toBe('steps')
        ->and($found[2]['document'])
        ->toBeNull()
        ->and($found[3]['problems'][0]['path'])
        ->toBe('name');
});

it('refuses what holds no formula', function (string $text): void {
    expect(fn() => looked($text))->toThrow(InvalidField::class);
})->with([
    'nothing' => [''],
    'blank' => ["  \n \n"],
    'other JSON' => ['{"a": 1}'],
    'a list of numbers' => ['[1, 2, 3]'],
    'a bundle of nonsense' => ['{"tempesal": "formulas", "formulas": "all"}'],
]);

it('stands a hostile text', function (): void {
    $long = str_repeat("500 g carrots \x00\x07 {{7*7}}\n", 5000);
    expect(count(looked($long)[0]['lines']))->toBeLessThanOrEqual(200);
    [$script] = looked("<script>alert('x')</script>:\n500 g carrots\n10 g sea salt");
    expect($script['name'])->toBe("<script>alert('x')</script>");
    expect(pasted(str_repeat('9', 400) . ' g carrots')->isSettled())->toBeFalse();
});

it('understands spoons as they are where the cook lives', function (): void {
    $australian = FoodTable::recipeText(Habit::Australian)->line(1, '1 tbsp sugar');
    $american = FoodTable::recipeText(Habit::Us)->line(1, '1 tbsp sugar');
    expect($australian->grams / $american->grams)->toEqualWithDelta(20 / 14.787, 0.001);
});
