<?php

declare(strict_types=1);

use Tempesal\Core\Care\ShelfAlert;
use Tempesal\Core\Care\Chore;
use Tempesal\Core\Care\DueChore;
use Tempesal\Core\Care\ReleaseCheck;
use Tempesal\Core\Care\ShelfSnapshot;
use Tempesal\Core\Care\AcidReading;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Care\ReleasePurpose;
use Tempesal\Core\Care\QuietHours;
use Tempesal\Core\Care\Recurrence;
use Tempesal\Core\Care\CareContext;
use Tempesal\Core\Care\CareRecord;
use Tempesal\Core\Care\RipeningDays;
use Tempesal\Core\Care\Task;
use Tempesal\Core\Care\ChoreSchedule;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Advice\BatchAdvice;
use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Hazards;
use Tempesal\Core\Method\ShelfLife;
use Tempesal\Core\Produce\FoodTrait;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Formula\Formula;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\Ingredient;
use App\Pantry\FoodTable;
use App\Pantry\FormulaLibrary;
use Tests\Support\Kitchen;

/**
 * Kraut under a screw lid on its second day, ready on its twenty-first.
 *
 * @param  array<string, mixed>  $change
 */
function stand(array $change = []): CareContext
{
    $hazards = $change['hazards'] ?? new Hazards();

    $ripening = ['youngOn' => 7, 'readyOn' => 21, 'readyAfter' => 21 * 86_400.0, 'livelyUntil' => 7];
    $record = ['knownFrom' => 0, 'chilledOn' => null, 'condemnedOn' => null, 'done' => []];

    return new CareContext(
        ...[
            'method' => Method::DrySalting,
            'cover' => Cover::ScrewLid,
            'day' => 2,
            'isWarm' => true,
            'hazards' => $hazards,
            'shelfLife' => ShelfLife::of($change['method'] ?? Method::DrySalting, $hazards),
            'isLive' => true,
            'isNothing' => false,
            ...array_diff_key($change, $ripening, $record),
            'ripening' => new RipeningDays(...[...$ripening, ...array_intersect_key($change, $ripening)]),
            'record' => new CareRecord(...[...$record, ...array_intersect_key($change, $record)]),
        ],
    );
}

/**
 * @param  array<string, mixed>  $change
 * @return array<string, int> the day of each task
 */
function days(array $change = []): array
{
    $days = [];
    foreach (ChoreSchedule::of(stand($change)) as $due) {
        $days[$due->chore->task->value] = $due->day;
    }

    return $days;
}

it('knows what each cover and method wants', function (Cover $cover, Method $method, array $tasks): void {
    $chores = Recurrence::whileWarm(stand(['cover' => $cover, 'method' => $method]));
    expect(array_map(fn(Chore $chore): string => $chore->task->value, $chores))->toBe($tasks);
})->with([
    [Cover::ScrewLid, Method::PouredBrine, ['burp']],
    [Cover::Airlock, Method::PouredBrine, ['airlock']],
    [Cover::Cloth, Method::DrySalting, ['skim', 'press']],
    [Cover::SlitLid, Method::Mash, ['stir']],
    [Cover::Clamp, Method::EquilibriumBrine, ['burp']],
    [Cover::SlitLid, Method::EquilibriumBrine, []],
    [Cover::ScrewLid, Method::QuickSaltPickle, []],
    [Cover::ScrewLid, Method::Transform, []],
]);

it('finds the next day of a chore', function (?int $done, ?int $next): void {
    expect((new Chore(Task::Skim, 3, 3, 12))->nextAfter($done))->toBe($next);
})->with([[null, 3], [1, 3], [3, 6], [4, 7], [9, 12], [10, null], [12, null]]);

it('is over once something that comes once was done', function (): void {
    $once = new Chore(Task::ToFridge, 0, 9, null);
    expect($once->nextAfter(null))->toBe(9)->and($once->nextAfter(9))->toBeNull()->and($once->nextAfter(3))->toBe(9);
});

it('asks kraut for all it wants, each on its day', function (): void {
    expect(days())
        ->toBe(['burp' => 1, 'press' => 1, 'taste' => 7, 'ph' => 7, 'fridge' => 21])
        ->and(days(['done' => ['burp' => 2, 'press' => 1]]))
        ->toMatchArray(['burp' => 3, 'press' => 2])
        ->and(days(['day' => 9, 'done' => ['taste' => 8]]))
        ->toBe(['ph' => 7, 'taste' => 15, 'fridge' => 21])
        ->and(days(['day' => 30]))
        ->toBe(['ph' => 7, 'fridge' => 21]);
});

it('does not ask for what was to be done before it came onto the shelf', function (): void {
    expect(days(['knownFrom' => 2]))->toMatchArray(['burp' => 2, 'press' => 2, 'taste' => 7]);
});

it('stirs and blends a mash, and counts hours for what is ready in hours', function (): void {
    expect(days(['method' => Method::Mash, 'cover' => Cover::SlitLid]))
        ->toHaveKey('blend', 21)
        ->toHaveKey('stir', 1)
        ->not->toHaveKey('fridge');
    $mayonnaise = ChoreSchedule::of(
        stand([
            'method' => Method::CulturedCondiment,
            'cover' => Cover::LooseLid,
            'day' => 0,
            'youngOn' => 0,
            'readyOn' => 0,
            'readyAfter' => 8 * 3600.0,
            'hazards' => new Hazards(hasEgg: true),
        ]),
    );
    expect($mayonnaise[0]->chore->task)
        ->toBe(Task::ToFridge)
        ->and($mayonnaise[0]->at)
        ->toBe(8 * 3600.0)
        ->and(array_map(fn(DueChore $due): array => [$due->chore->task->value, $due->day], $mayonnaise))
        // Egg is not kept for long, wherever it stands.
        ->toBe([['fridge', 0], ['use_up', 3], ['discard', 4]]);
});

it('lets a jar rest in the cold until it has kept its time', function (): void {
    expect(days(['day' => 40, 'isWarm' => false, 'chilledOn' => 21]))
        ->toBe(['use_up' => 21 + 180 - 14])
        ->and(
            days([
                'method' => Method::QuickSaltPickle,
                'isWarm' => false,
                'chilledOn' => 0,
                'youngOn' => null,
                'readyOn' => null,
                'readyAfter' => null,
                'isLive' => false,
            ]),
        )
        ->toBe(['use_up' => 6, 'discard' => 7])
        ->and(days(['hazards' => new Hazards(hasPlantsInOil: true), 'isWarm' => false, 'chilledOn' => 0]))
        ->toBe(['use_up' => 3, 'discard' => 4]);
});

it('asks of a bought jar nothing but to be used up in time', function (): void {
    $bought = [
        'method' => Method::Bought,
        'cover' => Cover::ScrewLid,
        'youngOn' => null,
        'readyOn' => null,
        'readyAfter' => null,
        'day' => 1,
    ];
    expect(days($bought))
        ->toBe([])
        // Two months from its opening, or what is printed on it: common practice, no source.
        ->and(days([...$bought, 'isWarm' => false, 'chilledOn' => 0]))
        ->toBe(['use_up' => 60 - 14])
        ->and(days([...$bought, 'isWarm' => false, 'chilledOn' => 0, 'useBy' => 30]))
        ->toBe(['use_up' => 30 - 14])
        ->and(days([...$bought, 'isWarm' => false, 'chilledOn' => 0, 'useBy' => 300]))
        ->toBe(['use_up' => 60 - 14])
        ->and(days([...$bought, 'hazards' => new Hazards(hasEgg: true), 'isWarm' => false, 'chilledOn' => 0]))
        ->toBe(['use_up' => 3, 'discard' => 4]);
});

it('asks for nothing but the bin once a check has said so, and for nothing at all when it is empty', function (): void {
    expect(days(['condemnedOn' => 2]))
        ->toBe(['discard' => 2])
        ->and(days(['isNothing' => true]))
        ->toBe([]);
});

it('says what it means that something was missed', function (Task $task): void {
    expect(said($task->whenLate(1)))
        ->toContain('yesterday')
        ->and(said($task->whenLate(3)))
        ->toMatch('/for 3 days|3 days ago/')
        ->and(said($task->whenLate(3)))
        ->not->toContain('safe')
        ->and(said($task->text()))
        ->not->toBe('')
        ->and($task->doneBy())
        ->toBeIn(['tap', 'log', 'move', 'empty', 'counter']);
})->with(Task::cases());

it('says first what cannot wait', function (array $change, ?Task $due, ?string $code): void {
    $well = [
        'day' => 9,
        'aboveBrineMm' => 0.0,
        'longSince' => -30,
        'servings' => 12,
        'isNothing' => false,
    ];
    $dues = $due === null ? [] : [new DueChore(new Chore($due, 1, 1, null), 9, null)];
    expect(ShelfAlert::of(new ShelfSnapshot(...[...$well, ...$change]), $dues)?->code)->toBe($code);
})->with([
    'well as it is' => [[], null, null],
    'food above its brine, on a day for burping' => [['aboveBrineMm' => 9.0], Task::Burp, 'sticks_out'],
    'a little above is still wet' => [['aboveBrineMm' => 2.0], null, null],
    'the bin before all else' => [['aboveBrineMm' => 9.0], Task::Discard, 'discard'],
    'past its window, and nearly eaten' => [['longSince' => 0, 'servings' => 1], null, 'long'],
    'a chore' => [[], Task::Burp, 'burp'],
    'ready' => [['servings' => 1], Task::ToFridge, 'fridge'],
    'nearly eaten' => [['servings' => 2], null, 'low'],
    'eaten' => [['servings' => 0, 'isNothing' => true, 'aboveBrineMm' => 40.0], null, 'empty'],
]);

it('says what it means when attention comes late, and never that it may be eaten unlooked at', function (): void {
    $late = ShelfAlert::of(new ShelfSnapshot(9, 0.0, -30, 12, false), [
        new DueChore(new Chore(Task::Burp, 1, 1, null), 6, null),
    ]);
    $long = ShelfAlert::of(new ShelfSnapshot(60, 0.0, 3, 9, false), []);
    expect(said($late?->text))->toContain('due for 3 days')->and(said($long?->text))->toContain('Smell and taste');
});

it('does not call in quiet hours, but before them', function (
    string $from,
    string $to,
    string $due,
    string $called,
): void {
    $zone = new DateTimeZone('Europe/Lisbon');
    $call = (new QuietHours($from, $to))->callFor(new DateTimeImmutable($due, $zone));
    expect($call->format('Y-m-d H:i'))->toBe($called);
})->with([
    'by day' => ['22:00', '07:30', '2026-11-25 14:10', '2026-11-25 14:10'],
    'at night' => ['22:00', '07:30', '2026-11-25 23:10', '2026-11-25 22:00'],
    'before morning' => ['22:00', '07:30', '2026-11-25 03:10', '2026-11-24 22:00'],
    'when they end' => ['22:00', '07:30', '2026-11-25 07:30', '2026-11-25 07:30'],
    'over noon' => ['12:00', '14:00', '2026-11-25 13:00', '2026-11-25 12:00'],
    'never quiet' => ['00:00', '00:00', '2026-11-25 03:00', '2026-11-25 03:00'],
    'on the night that is an hour longer' => ['22:00', '07:30', '2026-10-25 01:30', '2026-10-24 22:00'],
]);

it('lets gas out for a week at 21 °C, sooner where it is warm and for longer where it is cool', function (
    ?int $livelyUntil,
    int $day,
    bool $asked,
): void {
    $change = [
        'cover' => Cover::Clamp,
        'livelyUntil' => $livelyUntil,
        'day' => $day,
        'done' => ['burp' => $day - 1],
    ];
    expect(array_key_exists('burp', days($change)))->toBe($asked);
})->with([[4, 4, true], [4, 5, false], [13, 12, true], [13, 14, false], [null, 90, true]]);

it('goes on letting gas out of live sweet sauces weekly, in the fridge too', function (): void {
    $sauce = [
        'method' => Method::CulturedCondiment,
        'cover' => Cover::Clamp,
        'hazards' => new Hazards(isSweetSauce: true),
        'isWarm' => false,
        'chilledOn' => 3,
        'day' => 9,
    ];
    expect(days($sauce))
        ->toHaveKey('burp', 10)
        ->and(days([...$sauce, 'done' => ['burp' => 10]]))
        ->toHaveKey('burp', 17)
        ->and(days([...$sauce, 'isLive' => false]))
        ->not->toHaveKey('burp')
        ->and(days([...$sauce, 'cover' => Cover::LooseLid]))
        ->not->toHaveKey('burp')
        ->and(days([...$sauce, 'hazards' => new Hazards()]))
        ->not->toHaveKey('burp')
        ->and(days([...$sauce, 'method' => Method::Transform]))
        ->toHaveKey('burp', 10);
});

/** @param  array<string, mixed>  $change  of the gate; "ph", "by", "margin" and "daysAgo" of the reading */
function gate(ReleasePurpose $purpose, array $change = []): ReleaseCheck
{
    $reading = ['ph' => 3.9, 'isByMeter' => true, 'margin' => 0.1, 'daysAgo' => 1, ...$change];

    return ReleaseCheck::of(
        $purpose,
        $reading['ph'] === null
            ? null
            : new AcidReading($reading['ph'], $reading['isByMeter'], $reading['margin'], $reading['daysAgo']),
        $change['hazards'] ?? new Hazards(),
        $change['isLive'] ?? true,
        $change['isCondemned'] ?? false,
    );
}

it('opens a gate on a fresh reading at or below 4.6, its margin counted, and on nothing else', function (
    ReleasePurpose $purpose,
): void {
    // 21 CFR 114.3: acidified foods have an equilibrium pH of 4.6 or below; from memory.
    expect(gate($purpose)->isOpen)
        ->toBeTrue()
        ->and(gate($purpose, ['ph' => 4.5])->isOpen)
        ->toBeTrue()
        ->and(gate($purpose, ['ph' => 4.51])->isOpen)
        ->toBeFalse()
        ->and(gate($purpose, ['ph' => 4.58, 'margin' => 0.02])->isOpen)
        ->toBeTrue()
        ->and(gate($purpose, ['ph' => 4.59, 'margin' => 0.02])->isOpen)
        ->toBeFalse()
        ->and(gate($purpose, ['ph' => 4.0, 'isByMeter' => false])->isOpen)
        ->toBeTrue()
        ->and(gate($purpose, ['ph' => 4.1, 'isByMeter' => false])->isOpen)
        ->toBeFalse()
        ->and(said(gate($purpose, ['ph' => null])->reason))
        ->toContain('Measure it first')
        ->and(gate($purpose, ['daysAgo' => 7])->isOpen)
        ->toBeTrue()
        ->and(gate($purpose, ['daysAgo' => 8])->isOpen)
        ->toBeFalse()
        ->and(gate($purpose, ['isCondemned' => true])->isOpen)
        ->toBeFalse();
})->with(ReleasePurpose::cases());

it('shows as many decimals as it takes to see why it stays shut', function (): void {
    expect(said(gate(ReleasePurpose::Bottle, ['ph' => 4.604])->reason))
        ->toContain('pH is 4.604, above 4.6')
        ->and(said(gate(ReleasePurpose::Bottle, ['ph' => 4.55])->reason))
        ->toContain('off by 0.1')
        ->and(said(gate(ReleasePurpose::Bottle, ['ph' => 4.3, 'isByMeter' => false])->reason))
        ->toContain('strips');
});

it('keeps cautions at every gate, open or not', function (ReleasePurpose $purpose, array $change): void {
    $gate = gate($purpose, $change);
    $all = implode(' ', array_map(said(...), $gate->cautions));
    expect($all)
        ->toContain('food-safety authority')
        ->and(str_contains(strtolower(said($gate->reason) . $all), 'is safe'))
        ->toBeFalse()
        ->and(($change['hazards'] ?? new Hazards())->hasEgg === str_contains($all, 'egg'))
        ->toBeTrue()
        ->and(($change['isLive'] ?? true) !== str_contains($all, 'no longer live'))
        ->toBeTrue();
})
    ->with(ReleasePurpose::cases())
    ->with([
        'plain' => [[]],
        'with egg' => [['hazards' => new Hazards(hasEgg: true)]],
        'heated' => [['isLive' => false]],
        'not sour' => [['ph' => 5.2]],
        'between the two lines' => [['ph' => 4.3]],
    ]);

it('keeps egg at home, and plants in oil here whatever was read', function (ReleasePurpose $purpose): void {
    expect(gate(ReleasePurpose::GiveAway, ['hazards' => new Hazards(hasEgg: true)])->isOpen)
        ->toBeFalse()
        ->and(gate($purpose, ['hazards' => new Hazards(hasPlantsInOil: true), 'ph' => 3.2])->isOpen)
        ->toBeFalse()
        ->and(implode(' ', array_map(said(...), gate(ReleasePurpose::Bottle, ['ph' => 4.3])->cautions)))
        ->toContain('pH 4.0')
        ->toContain('burst');
})->with(ReleasePurpose::cases());

/** @param  list<array{string, float, float}>  $foods  name, water in 100 g, grams */
function blended(array $foods, float $salt = 0.0): Ledger
{
    $lines = [];
    foreach ($foods as [$name, $water, $grams]) {
        $food = Ingredient::read(
            Fields::of(['id' => $name, 'name' => $name, 'waterPer100g' => $water, 'sodiumPer100g' => 0]),
        );
        $lines[] = new Add($food, Band::exact($grams), Phase::Sauce);
    }
    if ($salt > 0.0) {
        $lines[] = new Salt(Kitchen::weighed($salt), Phase::Sauce);
    }

    return new Ledger([...$lines, Soak::fromNowOn()]);
}

it('knows low-acid plants that lie in oil from a paste with a spoon of it', function (array $foods, bool $lies): void {
    $codes = array_column(BatchAdvice::on(blended($foods), Method::CulturedCondiment), 'code');
    expect(Hazards::of(blended($foods), Method::CulturedCondiment)->hasPlantsInOil)
        ->toBe($lies)
        ->and(in_array('plants_in_oil', $codes, true))
        ->toBe($lies);
})->with([
    'garlic in oil' => [[['garlic', 59, 100], ['olive oil', 0, 200]], true],
    'basil in oil' => [[['basil', 92, 40], ['olive oil', 0, 160]], true],
    'chillies in oil' => [[['red chilli', 88, 100], ['olive oil', 0, 100]], true],
    'mushrooms in oil' => [[['mushrooms', 90, 100], ['sunflower oil', 0, 30]], true],
    'a paste with a spoon of oil' => [[['garlic', 59, 30], ['napa cabbage', 94, 900], ['sesame oil', 0, 14]], false],
    'just below a fifth' => [[['garlic', 59, 80.1], ['olive oil', 0, 20]], false],
    'a fifth' => [[['garlic', 59, 80], ['olive oil', 0, 20]], true],
    'lemon in oil' => [[['lemon', 89, 100], ['olive oil', 0, 100]], false],
    'no oil' => [[['garlic', 59, 100], ['turmeric powder', 10, 1]], false],
]);

it('asks for acid in a hardly salted purée of low-acid plants', function (array $foods, float $salt, bool $asks): void {
    $codes = array_column(BatchAdvice::on(blended($foods, $salt), Method::CulturedCondiment), 'code');
    expect(in_array('low_acid_puree', $codes, true))->toBe($asks);
})->with([
    'walnuts' => [[['walnuts', 4, 200], ['water', 100, 100]], 2.0, true],
    'avocado' => [[['avocado', 73, 300]], 3.0, true],
    'avocado, half of it lime' => [[['avocado', 73, 149], ['lime juice', 90, 151]], 3.0, false],
    'salted as a mash' => [[['avocado', 73, 300]], 6.0, false],
    'a tenth less than that' => [[['avocado', 73, 300]], 5.7, true],
    'tomato' => [[['tomato', 94, 300]], 2.0, false],
]);

it('says what is raw egg on every batch with egg, fermenting or not', function (): void {
    $egg = new Ingredient('egg', 'egg', 76, Band::exact(140), allergens: [Allergen::Egg]);
    $codes = fn(Ledger $ledger, Method $method): array => array_column(BatchAdvice::on($ledger, $method), 'code');
    $still = new Ledger([new Add($egg, Band::exact(100), Phase::Sauce)]);
    expect($codes($still, Method::CulturedCondiment))
        ->toContain('raw_egg')
        ->and($codes($still->with(Soak::fromNowOn()), Method::CulturedCondiment))
        ->toContain('raw_egg')
        ->and($codes($still, Method::Bought))
        ->not->toContain('raw_egg');
});

it('takes the library’s foods for what they are', function (string $key, array $traits): void {
    $food = collect(FoodTable::all())->firstWhere('key', $key);
    expect($food['traits'])->toEqualCanonicalizing(array_column($traits, 'value'));
})->with([
    ['garlic', [FoodTrait::LowAcidPlant]],
    ['walnut', [FoodTrait::LowAcidPlant]],
    ['tomato', []],
    ['honey', [FoodTrait::Liquid, FoodTrait::Sweet]],
    ['olive-oil', [FoodTrait::Liquid, FoodTrait::Oil]],
    ['cider-vinegar', [FoodTrait::Liquid]],
    ['egg', []],
]);

it('keeps nothing longer than the strictest that is in it, and that is said of it', function (
    Method $method,
    Hazards $hazards,
    ?float $formula,
    int $days,
    bool $strict,
    ?int $onTheCounter,
): void {
    $keeps = ShelfLife::of($method, $hazards, $formula);
    expect($keeps->days)
        ->toBe($days)
        ->and($keeps->isStrict)
        ->toBe($strict)
        ->and($keeps->daysAt(Place::Fridge))
        ->toBe($days)
        ->and($keeps->daysAt(Place::Counter))
        ->toBe($onTheCounter);
})->with([
    [Method::DrySalting, new Hazards(), null, 180, false, null],
    [Method::DrySalting, new Hazards(), 30.0, 30, false, null],
    [Method::DrySalting, new Hazards(), 365.0, 180, false, null],
    [Method::CulturedCondiment, new Hazards(), null, 60, false, null],
    [Method::CulturedCondiment, new Hazards(hasEgg: true), 14.0, 4, true, 0],
    [Method::CulturedCondiment, new Hazards(hasPlantsInOil: true), null, 4, true, 0],
    [Method::QuickSaltPickle, new Hazards(), null, 7, true, 0],
    [Method::Transform, new Hazards(true, true), null, 4, true, 0],
]);

it('says of a formula of the library no longer than of its jar', function (): void {
    foreach (FormulaLibrary::documents() as $document) {
        $answer = FormulaAnswer::of(Formula::read($document, FoodTable::pantry()));
        expect((float) $document['keeping']['days'])->toBe((float) $answer->shelfLife()->days, $document['key']);
    }
});

it('knows its places, of which only the fridge is cold', function (Place $place, bool $isWarm): void {
    expect($place->isWarm())
        ->toBe($isWarm)
        ->and($place->usual()->value >= 10.0)
        ->toBe($isWarm)
        ->and(said($place->label()))
        ->toStartWith($place === Place::Counter ? 'on the' : 'in the');
})->with([[Place::Counter, true], [Place::Cool, true], [Place::Fridge, false]]);
