<?php

declare(strict_types=1);

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Document\Pantry;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Celsius;

function fields(array $values): Fields
{
    return Fields::of($values, 'here');
}

/** The path and reason of what a reading refuses. */
function refused(callable $read): array
{
    try {
        $read();
    } catch (InvalidField $refusal) {
        return [$refusal->path, said($refusal->explanation())];
    }

    return ['', 'nothing was refused'];
}

it('reads what stands in a document', function (): void {
    $fields = fields([
        'name' => 'Kraut',
        'grams' => 12,
        'share' => 0.25,
        'isLive' => true,
        'phase' => 'brine',
        'celsius' => 18.5,
        'band' => ['low' => 1, 'typical' => 2, 'high' => 4],
        'list' => ['a', 'b'],
        'rows' => [['x' => 1], ['x' => 2]],
        'minutes' => 90,
    ]);
    expect($fields->text('name'))
        ->toBe('Kraut')
        ->and($fields->grams()->value)
        ->toBe(12.0)
        ->and($fields->share('share'))
        ->toBe(0.25)
        ->and($fields->flag('isLive'))
        ->toBeTrue()
        ->and($fields->flag('isDead'))
        ->toBeFalse()
        ->and($fields->choice('phase', Phase::class))
        ->toBe(Phase::Brine)
        ->and($fields->quantity('celsius', Celsius::class)->kelvin())
        ->toBe(291.65)
        ->and($fields->band('band')->toArray())
        ->toBe(['low' => 1.0, 'typical' => 2.0, 'high' => 4.0])
        ->and($fields->band('grams')->isExact())
        ->toBeTrue()
        ->and($fields->texts('list', 5))
        ->toBe(['a', 'b'])
        ->and(array_map(fn(Fields $row): float => $row->number('x'), $fields->each('rows')))
        ->toBe([1.0, 2.0])
        ->and($fields->duration()?->value)
        ->toBe(5400.0)
        ->and($fields->names())
        ->toContain('rows', 'minutes');
});

it('falls back on what is usual where a field may be left out', function (): void {
    $none = fields([]);
    expect($none->number('x', 3.5))
        ->toBe(3.5)
        ->and($none->share('x', 0.5))
        ->toBe(0.5)
        ->and($none->choice('x', Phase::class, Phase::Sauce))
        ->toBe(Phase::Sauce)
        ->and($none->choices('x', Phase::class))
        ->toBe([])
        ->and($none->texts('x', 3))
        ->toBe([])
        ->and($none->each('x'))
        ->toBe([])
        ->and($none->duration())
        ->toBeNull();
});

it('names the field and the reason', function (callable $read, string $path, string $reason): void {
    [$at, $why] = refused($read);
    expect($at)->toBe($path)->and($why)->toContain($reason);
})->with([
    'no object' => [fn() => Fields::of(3, 'here'), 'here', 'Give an object'],
    'no text' => [fn() => fields(['name' => 3])->text('name'), 'here.name', 'Enter a text'],
    'blank text' => [fn() => fields(['name' => "  \t"])->text('name'), 'here.name', 'Enter a text'],
    'too long' => [
        fn() => fields(['name' => str_repeat('ä', 401)])->text('name'),
        'here.name',
        'at most 400 characters',
    ],
    'a text for a number' => [fn() => fields(['g' => '3'])->number('g'), 'here.g', 'Enter a number'],
    'true for a number' => [fn() => fields(['g' => true])->number('g'), 'here.g', 'Enter a number'],
    'infinity' => [fn() => fields(['g' => INF])->number('g'), 'here.g', 'an ordinary number'],
    'more than a whole' => [fn() => fields(['s' => 1.2])->share('s'), 'here.s', 'from 0 to 1'],
    'a negative weight' => [fn() => fields(['grams' => -1])->grams(), 'here.grams', 'zero or more'],
    'a band upside down' => [
        fn() => fields(['b' => ['low' => 3, 'typical' => 2, 'high' => 1]])->band('b'),
        'here.b',
        'low value first',
    ],
    'half a band' => [
        fn() => fields(['b' => ['low' => 3, 'typical' => 4]])->band('b'),
        'here.b.high',
        'Enter a number',
    ],
    'a band beyond' => [fn() => fields(['b' => 12])->band('b', null, 0.0, 10.0), 'here.b', 'from 0 to 10'],
    'no choice' => [fn() => fields(['p' => 'juice'])->choice('p', Phase::class), 'here.p', 'pieces, brine or sauce'],
    'no list' => [fn() => fields(['l' => 'a'])->each('l'), 'here.l', 'Give a list'],
    'an object for a list' => [fn() => fields(['l' => ['a' => 1]])->each('l'), 'here.l', 'Give a list'],
    'a number in a list of texts' => [fn() => fields(['l' => ['a', 4]])->texts('l', 5), 'here.l.1', 'Enter a text'],
    'too many texts' => [fn() => fields(['l' => ['a', 'b', 'c']])->texts('l', 2), 'here.l', 'at most 2 lines'],
    'two times' => [
        fn() => fields(['hours' => 1, 'days' => 2])->duration(),
        'here.days',
        'given twice, in hours and in days',
    ],
    'no time' => [fn() => fields([])->neededDuration(), 'here.hours', 'Give a time in seconds'],
    'a time before it began' => [fn() => fields(['seconds' => -2])->duration(), 'here.seconds', 'zero or more'],
    'a place in a list' => [
        fn() => fields(['rows' => [['x' => 1], ['x' => 'two']]])
            ->each('rows')[1]
            ->number('x'),
        'here.rows[1].x',
        'Enter a number',
    ],
]);

it('finds the field that nobody asked for', function (): void {
    $fields = fields(['name' => 'x', 'rows' => [['x' => 1, 'y' => 2]]]);
    $fields->text('name');
    $fields->each('rows')[0]->number('x');
    expect(refused(fn() => $fields->refuseUnread()))->toBe(['here.rows[0].y', 'There is no field with this name.']);
    $fields->each('rows')[0]->number('y');
    $fields->refuseUnread();
    expect(true)->toBeTrue();
});

it('leaves alone what lies in a field that is kept as it is', function (): void {
    $fields = fields(['kept' => ['anything' => ['goes' => 1]]]);
    $fields->has('kept');
    $fields->refuseUnread();
    expect($fields->raw())->toHaveKey('kept');
});

it('puts foods and salts where their ids stand, however deep', function (): void {
    $pantry = new Pantry(['carrot' => ['id' => 'carrot', 'name' => 'carrot']], ['fine' => ['id' => 'fine']]);
    $filled = $pantry->fill(
        [
            [
                'kind' => 'process',
                'vegetables' => [['ingredient' => 'carrot']],
                'salt' => ['product' => 'fine'],
            ],
        ],
        'steps',
    );
    expect($filled[0]['vegetables'][0]['ingredient']['name'])
        ->toBe('carrot')
        ->and($filled[0]['salt']['product']['id'])
        ->toBe('fine')
        ->and($filled[0]['kind'])
        ->toBe('process');
    expect(refused(fn() => $pantry->fill([['ingredient' => 'carot']], 'steps')))->toBe([
        'steps[0].ingredient',
        'There is no food “carot” here. Do you mean “carrot”?',
    ]);
    expect(refused(fn() => $pantry->fill([['product' => 'sugar']], 'steps'))[1])
        ->toContain('There is no salt “sugar” here')
        ->not->toContain('Do you mean');
});

it('lets a document bring foods of its own', function (): void {
    $pantry = (new Pantry([], []))->with(
        Fields::of(['ingredients' => ['my-beans' => ['waterPer100g' => 90, 'sodiumPer100g' => 4]]]),
    );
    expect($pantry->fill(['ingredient' => 'my-beans'], 'step')['ingredient'])->toBe([
        'id' => 'my-beans',
        'name' => 'my beans',
        'waterPer100g' => 90,
        'sodiumPer100g' => 4,
    ]);
});
