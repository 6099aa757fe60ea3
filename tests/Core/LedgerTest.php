<?php

declare(strict_types=1);

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Estimate;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Blend;
use Tempesal\Core\Ledger\Entry\Discard;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Draw;
use Tempesal\Core\Ledger\Entry\Evaporate;
use Tempesal\Core\Ledger\Entry\Freshen;
use Tempesal\Core\Ledger\Entry\Give;
use Tempesal\Core\Ledger\Entry\Heat;
use Tempesal\Core\Ledger\Entry\Leak;
use Tempesal\Core\Ledger\Entry\Measured;
use Tempesal\Core\Ledger\Entry\Overflow;
use Tempesal\Core\Ledger\Entry\ReSalt;
use Tempesal\Core\Ledger\Entry\Rinse;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Squeeze;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Entry\TopUp;
use Tempesal\Core\Ledger\EntryKinds;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Reading;
use Tempesal\Core\Ledger\Rinsing;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Uptake\Piece;
use Tempesal\Core\Uptake\PieceForm;
use Tempesal\Core\Uptake\TemperatureHistory;
use Tests\Support\Kitchen;

it('keeps account of every milligram', function (): void {
    $ledger = Kitchen::kraut()->with(
        Serve::of(Served::Pieces, Grams::of(80)),
        new Give(Served::Brine, Grams::of(45), 'another'),
        new Discard(Phase::Brine, Grams::of(20)),
        Serve::of(Served::Brine, Grams::of(15)),
    );
    $state = $ledger->state();
    expect(abs($state->sodiumAstray()))
        ->toBeLessThan(1e-9)
        ->and($state->account(Account::GivenAway)->weightG())
        ->toEqualWithDelta(45.0, 1e-9)
        ->and($state->account(Account::Eaten)->weightG())
        ->toEqualWithDelta(95.0, 1e-9)
        ->and($state->account(Account::Outside)->weightG())
        ->toEqualWithDelta($state->present()->weightG() + 45 + 95 + 20, 1e-9);
});

it('gives a starter away at the strength it has and leaves the rest as it was', function (): void {
    $before = Kitchen::kraut();
    $after = $before->with(new Give(Served::Brine, Grams::of(100), 'another'));
    expect($after->state()->phase(Phase::Brine)->sodiumPer100g())
        ->toEqualWithDelta($before->state()->phase(Phase::Brine)->sodiumPer100g(), 1e-9)
        ->and($after->state()->phase(Phase::Pieces)->sodiumMg)
        ->toBe($before->state()->phase(Phase::Pieces)->sodiumMg);
});

it('counts the salt a starter brings', function (): void {
    $whey = Kitchen::food('whey', 93.1, 54);
    $brine = Kitchen::food('live-brine', 96.5, 950);
    $with = fn($liquid): float => (new Ledger([
        new Add(Kitchen::carrot(), Band::exact(300), Phase::Pieces),
        new Starter($liquid, Grams::of(45), Phase::Brine),
        new Add(Kitchen::water(), Band::exact(300), Phase::Brine),
    ]))
        ->state()
        ->present()->sodiumMg;
    expect($with($brine) - $with($whey))->toEqualWithDelta(0.45 * (950 - 54), 1e-9);
});

it('serves pieces with the film that clings to them', function (): void {
    $kraut = Kitchen::kraut();
    $state = $kraut->state();
    $expected =
        ((40 / 1.07) * $state->phase(Phase::Pieces)->sodiumPer100g()) / 100 +
        (((40 * 0.07) / 1.07) * $state->phase(Phase::Brine)->sodiumPer100g()) / 100;
    $serving = $kraut->serving(Serve::of(Served::Pieces, Grams::of(40)));
    expect($serving->band->typical)
        ->toEqualWithDelta($expected, 1e-9)
        ->and($kraut->with(Serve::of(Served::Pieces, Grams::of(40)))->state()->account(Account::Eaten)->sodiumMg)
        ->toEqualWithDelta($expected, 1e-9);
});

it('refuses to take more than there is', function (): void {
    $kraut = Kitchen::kraut();
    expect(fn() => $kraut->serving(Serve::of(Served::Pieces, Grams::of(5000))))
        ->toThrow(fn(NotEnough $no) => expect(said($no->explanation()))->toStartWith('Only 8'))
        ->and(fn() => $kraut->with(new Give(Served::Brine, Grams::of(900), 'x'))->state())
        ->toThrow(fn(NotEnough $no) => expect(said($no->explanation()))->toContain('of brine are left'))
        ->and(fn() => $kraut->serving(Serve::of(Served::Sauce, Grams::of(1))))
        ->toThrow(NotEnough::class);
});

it('keeps the band of a nearly empty jar about the food, not about what is left', function (): void {
    $full = Kitchen::kraut();
    $low = $full->with(Serve::of(Served::Pieces, Grams::of(780)));
    $one = $full->serving(Serve::of(Served::Pieces, Grams::of(40)))->band;
    $last = $low->serving(Serve::of(Served::Pieces, Grams::of(40)))->band;
    expect($last->low / $last->typical)
        ->toEqualWithDelta($one->low / $one->typical, 0.02)
        ->and($last->high / $last->typical)
        ->toEqualWithDelta($one->high / $one->typical, 0.02);
});

it('says nothing of how salty a jar was of which nothing is left', function (): void {
    $kraut = Kitchen::kraut();
    $state = $kraut->state();
    $gone = array_map(
        static fn(Phase $phase): Discard => new Discard($phase, Grams::of($state->phase($phase)->weightG())),
        [Phase::Pieces, Phase::Brine],
    );
    expect($kraut->estimates()['piecesPer100g']->band->low)->toBeGreaterThan(100.0);
    foreach (array_diff_key($kraut->with(...$gone)->estimates(), ['servings' => []]) as $estimate) {
        expect($estimate)->toEqual(Estimate::exact(0.0));
    }
});

it('narrows the band when the salt is weighed', function (): void {
    $spooned = Kitchen::kraut(spooned: true)->serving(Serve::of(Served::Pieces, Grams::of(40)));
    $weighed = Kitchen::kraut()->serving(Serve::of(Served::Pieces, Grams::of(40)));
    expect($spooned->band->high - $spooned->band->low)
        ->toBeGreaterThan(3 * ($weighed->band->high - $weighed->band->low))
        ->and($spooned->contributions[0]->input->key)
        ->toBe('salt:flaky-kosher:density')
        ->and(said($spooned->contributions[0]->input->howToNarrow()))
        ->toContain('weigh');
});

it('comes back from its documented form', function (Entry $entry): void {
    $array = json_decode(json_encode($entry->toArray(), JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR);
    expect(EntryKinds::read(Fields::of($array)))->toEqual($entry);
})->with([
    fn() => new Add(Kitchen::carrot(), Band::of(550, 600, 650), Phase::Pieces),
    fn() => new Salt(Kitchen::weighed(22.5), Phase::Brine),
    fn() => new Salt(Kitchen::spooned(2.0), Phase::Brine),
    fn() => new Starter(Kitchen::food('whey', 93.1, 54), Grams::of(30), Phase::Brine, 'batch-1'),
    fn() => new Draw(Band::of(0.1, 0.2, 0.3)),
    fn() => Soak::untilEven(Piece::measured(PieceForm::Sphere, Millimetres::of(4), Band::of(1, 2, 3), 0.9)),
    fn() => Soak::lasting(Seconds::ofHours(20)),
    fn() => Soak::fromNowOn(TemperatureHistory::ofSpans([[3600.0, Celsius::of(18)], [7200.0, Celsius::of(24)]])),
    fn() => new Drain(ClingingBrine::drained(), Grams::of(120)),
    fn() => new Rinse(Rinsing::underTheTap(Seconds::of(180)), ClingingBrine::drained()),
    fn() => Squeeze::firm(),
    fn() => new Freshen(Grams::of(400), ClingingBrine::drained()),
    fn() => new TopUp(Grams::of(50), null, Kitchen::salt('pickling')),
    fn() => new TopUp(Grams::of(50), 0.02, Kitchen::salt('pickling')),
    fn() => new Overflow(Band::of(10, 20, 30)),
    fn() => new Leak(Band::of(20, 40, 60), 0.03),
    fn() => new Evaporate(Band::exact(15)),
    fn() => new ReSalt(0.03, SaltBasis::OfWater, Kitchen::salt('pickling')),
    fn() => new Blend(),
    fn() => new Heat(),
    fn() => new Measured(Reading::BrineStrength, Band::of(0.021, 0.022, 0.023), true),
    fn() => new Serve(
        Served::Pieces,
        Grams::of(40),
        ClingingBrine::drained(),
        rinse: Rinsing::underTheTap(Seconds::of(30)),
    ),
    fn() => new Serve(Served::Pieces, Grams::of(40), ClingingBrine::drained(), Grams::of(10)),
    fn() => Serve::of(Served::Pieces, Grams::of(40))->bookedAt(Kitchen::kraut()->state()),
    fn() => (new Give(Served::Brine, Grams::of(45), 'batch-2'))->bookedAt(Kitchen::kraut()->state()),
    fn() => new Discard(Phase::Brine, Grams::of(30)),
    fn() => Serve::of(Served::Pieces, Grams::of(40)),
    fn() => new Give(Served::Brine, Grams::of(45), 'batch-2'),
]);

it('names the field that cannot be', function (array $entry, string $path, string $reason): void {
    try {
        EntryKinds::read(Fields::of($entry, 'entries[2]'));
        $this->fail('It was accepted.');
    } catch (InvalidField $refusal) {
        expect($refusal->path)->toBe($path)->and(said($refusal->explanation()))->toContain($reason);
    }
})->with([
    [['kind' => 'stir'], 'entries[2].kind', '“stir” is not a kind of entry'],
    [[], 'entries[2].kind', 'Enter a text'],
    [['kind' => 'discard', 'phase' => 'brine', 'grams' => -3], 'entries[2].grams', 'zero or more'],
    [['kind' => 'discard', 'phase' => 'brine', 'grams' => '3'], 'entries[2].grams', 'Enter a number'],
    [['kind' => 'discard', 'phase' => 'brine', 'grams' => NAN], 'entries[2].grams', 'ordinary number'],
    [['kind' => 'discard', 'phase' => 'brine', 'grams' => 1e308], 'entries[2].grams', 'or less'],
    [['kind' => 'discard', 'phase' => 'juice', 'grams' => 3], 'entries[2].phase', 'pieces, brine or sauce'],
    [
        ['kind' => 'draw', 'share' => ['low' => 0.3, 'typical' => 0.2, 'high' => 0.1]],
        'entries[2].share',
        'low value first',
    ],
    [['kind' => 'draw', 'share' => 3], 'entries[2].share', 'from -0.3 to 0.9'],
    [['kind' => 'add', 'grams' => 5, 'into' => 'brine'], 'entries[2].ingredient', 'Give an object'],
    [['kind' => 'soak'], 'entries[2].hours', 'Give a time in seconds'],
    [['kind' => 'soak', 'hours' => 2, 'minutes' => 3], 'entries[2].hours', 'given twice'],
    [['kind' => 'soak', 'hours' => 1e308], 'entries[2].hours', 'ordinary number'],
    [['kind' => 'ferment', 'until' => 'done'], 'entries[2].until', 'even, further'],
    [['kind' => 'ferment', 'days' => 3, 'celsius' => 400], 'entries[2].celsius', '150 °C or less'],
    [
        ['kind' => 'rest', 'hours' => 3, 'temperature' => [['hours' => 0, 'celsius' => 20]]],
        'entries[2].temperature[0].hours',
        'ore than',
    ],
    [
        ['kind' => 'soak', 'hours' => 3, 'piece' => ['form' => 'cube', 'reachMm' => 3, 'tissue' => 'root']],
        'entries[2].piece.form',
        'sheet, cylinder or sphere',
    ],
    [
        ['kind' => 'soak', 'hours' => 3, 'piece' => ['form' => 'sheet', 'reachMm' => 0, 'tissue' => 'root']],
        'entries[2].piece.reachMm',
        'at least 0.05',
    ],
    [['kind' => 'top_up', 'grams' => 30, 'strength' => 'strong'], 'entries[2].strength', '"own"'],
    [['kind' => 'top_up', 'grams' => 30, 'strength' => 0.3], 'entries[2].strength', 'cannot dissolve'],
    [['kind' => 're_salt', 'share' => 0.02, 'basis' => 'of_vegetable'], 'entries[2].basis', 'Choose the water'],
    [['kind' => 'measured', 'what' => 'brine_strength', 'value' => 2.2], 'entries[2].value', 'from 0 to 0.264'],
    [
        ['kind' => 'serve', 'phase' => 'brine', 'grams' => 20, 'rinse' => ['seconds' => 20]],
        'entries[2].rinse',
        'Only pieces',
    ],
    [['kind' => 'serve', 'grams' => 20, 'rinse' => ['seconds' => 20], 'juice' => 5], 'entries[2].juice', 'no juice'],
    [
        [
            'kind' => 'add',
            'grams' => 5,
            'into' => 'brine',
            'ingredient' => ['id' => 'x', 'name' => 'x', 'waterPer100g' => 99, 'sodiumPer100g' => 9000],
        ],
        'entries[2].ingredient.sodiumPer100g',
        'weigh more than the food',
    ],
    [
        [
            'kind' => 'add',
            'grams' => 5,
            'into' => 'brine',
            'ingredient' => ['id' => 'x', 'name' => 'x', 'waterPer100g' => 120, 'sodiumPer100g' => 0],
        ],
        'entries[2].ingredient.waterPer100g',
        'from 0 to 100',
    ],
]);
