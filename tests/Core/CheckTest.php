<?php

declare(strict_types=1);

use Tempesal\Core\Check\CheckQuestion;
use Tempesal\Core\Check\CheckRule;
use Tempesal\Core\Check\CheckRules;
use Tempesal\Core\Check\CheckedJar;
use Tempesal\Core\Check\Finding;
use Tempesal\Core\Check\Inspection;
use Tempesal\Core\Check\PracticeJar;
use Tempesal\Core\Check\Verdict;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Hazards;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\ShelfLife;
use Tempesal\Core\Check\Looks;

/**
 * Carrots in brine on their sixth day.
 *
 * @param  array<string, mixed>  $change
 */
function lookedInto(array $change = []): CheckedJar
{
    $hazards = $change['hazards'] ?? new Hazards();

    return new CheckedJar(
        ...[
            'method' => Method::PouredBrine,
            'cover' => Cover::Airlock,
            'day' => 6,
            'ripenedDays' => 6.0,
            'isWarm' => true,
            'isOnePhase' => false,
            'isLive' => true,
            'hazards' => $hazards,
            'shelfLife' => ShelfLife::of($change['method'] ?? Method::PouredBrine, $hazards),
            'ph' => null,
            'warmHours' => 144.0,
            ...$change,
        ],
    );
}

/**
 * A jar of a kind in which everything is as it should be.
 *
 * @return list<Finding>
 */
function allWell(CheckedJar $jar): array
{
    $well = [
        Finding::TopClean,
        Finding::AllUnder,
        Finding::BrineClear,
        Finding::ColourAsExpected,
        Finding::LidFlat,
        Finding::FewBubbles,
        Finding::Still,
        Finding::SmellSour,
        Finding::Crisp,
        Finding::Smooth,
    ];

    return array_values(
        array_filter(
            $well,
            fn(Finding $sign): bool => array_filter(
                CheckQuestion::of($jar),
                fn(CheckQuestion $question): bool => in_array($sign, $question->signs, true),
            ) !== [],
        ),
    );
}

/**
 * The same with something found in it, in the place of what was well there.
 *
 * @return list<Finding>
 */
function found(CheckedJar $jar, Finding ...$found): array
{
    $all = allWell($jar);
    foreach (CheckQuestion::of($jar) as $question) {
        if (array_intersect(array_column($question->signs, 'value'), array_column($found, 'value')) !== []) {
            $all = array_filter($all, fn(Finding $sign): bool => !in_array($sign, $question->signs, true));
        }
    }

    return [...array_values($all), ...$found];
}

const SAUCE = ['method' => Method::CulturedCondiment, 'isOnePhase' => true, 'cover' => Cover::LooseLid];
const LIVE_SAUCE = [...SAUCE, 'method' => Method::Transform, 'cover' => Cover::ScrewLid, 'isWarm' => false];
const MILK = [
    'method' => Method::MilkAndSweet,
    'isOnePhase' => true,
    'cover' => Cover::ScrewLid,
    'day' => 1,
    'ripenedDays' => 1.0,
    'warmHours' => 10.0,
    'hazards' => new Hazards(isMilk: true),
];
const QUICK = [
    'method' => Method::QuickSaltPickle,
    'isLive' => false,
    'cover' => Cover::ScrewLid,
    'day' => 2,
];

/** What each rule is tried on: the jar, and what is found in it. */
function cases(): array
{
    return [
        'fuzz_white' => [[], [Finding::FuzzWhite]],
        'fuzz_coloured' => [[], [Finding::FuzzColoured]],
        'pink' => [[], [Finding::SpotsPink]],
        'black' => [[], [Finding::SpotsBlack]],
        'insects' => [[], [Finding::Insects]],
        'rotten' => [[], [Finding::SmellRotten]],
        'slime' => [[], [Finding::Slimy]],
        'ropy' => [[], [Finding::BrineRopy]],
        'odd_colour' => [[], [Finding::ColourOdd]],
        'mush_off' => [[], [Finding::Mushy, Finding::SmellUnsure]],
        'dry_unsure' => [[], [Finding::AboveDry, Finding::TopUnsure]],
        'fizz_unfermented' => [QUICK, [Finding::Fizz]],
        'bulge_unfermented' => [QUICK, [Finding::LidBulging]],
        'bulge_bought' => [
            ['method' => Method::Bought, 'cover' => Cover::ScrewLid, 'isLive' => false],
            [Finding::LidBulging],
        ],
        'bulge_live_bought' => [['method' => Method::Bought, 'cover' => Cover::ScrewLid], [Finding::LidBulging]],
        'bulge_live_sauce' => [LIVE_SAUCE, [Finding::LidBulging]],
        'fizz_live_sauce' => [LIVE_SAUCE, [Finding::Fizz]],
        'sulphur_early' => [['looks' => [Looks::Sulphurous]], [Finding::SmellSulphur]],
        'sulphur_late' => [['looks' => [Looks::Sulphurous], 'ripenedDays' => 14.0], [Finding::SmellSulphur]],
        'broke_in_making' => [
            [...SAUCE, 'day' => 0, 'hazards' => new Hazards(hasEgg: true), 'warmHours' => 1.0],
            [Finding::Broken, Finding::BrokeInMaking],
        ],
        'pink_of_food' => [['looks' => [Looks::Reddens]], [Finding::SpotsPink, Finding::PinkOfFood]],
        'specks_of_food' => [['looks' => [Looks::Specked]], [Finding::SpotsBlack, Finding::SpecksOfFood]],
        'slip_of_food' => [['looks' => [Looks::Slips]], [Finding::Slimy, Finding::SlipOfFood]],
        'cloudy_quick' => [QUICK, [Finding::BrineCloudy]],
        'kept_too_long' => [[...QUICK, 'day' => 7], []],
        'egg_warm' => [[...SAUCE, 'day' => 0, 'hazards' => new Hazards(hasEgg: true), 'warmHours' => 10.1], []],
        'egg_two_hours' => [[...SAUCE, 'day' => 0, 'hazards' => new Hazards(hasEgg: true), 'warmHours' => 2.1], []],
        'egg_broken' => [
            [...SAUCE, 'day' => 0, 'hazards' => new Hazards(hasEgg: true), 'warmHours' => 1.0],
            [Finding::Broken],
        ],
        'never_started' => [['ripenedDays' => 14.1], [Finding::NoBubbles, Finding::SmellRaw]],
        'tasted_not_sour' => [['ripenedDays' => 14.1, 'hasSoured' => false], [Finding::SmellFunky]],
        'puree_not_acid' => [
            [...SAUCE, 'hazards' => new Hazards(isLowAcidPuree: true), 'warmHours' => 25.0, 'ph' => 4.7],
            [],
        ],
        'gas_in_milk' => [MILK, [Finding::LidBulging]],
        'hiss_in_milk' => [MILK, [Finding::LidHisses]],
        'milk_never_set' => [[...MILK, 'warmHours' => 30.5], [Finding::SmellRaw]],
        'milk_not_acid' => [[...MILK, 'warmHours' => 30.5, 'ph' => 5.4], []],
        'whey_apart' => [MILK, [Finding::Broken]],
        'mother' => [[...MILK, 'hazards' => new Hazards(), 'looks' => [Looks::GrowsMother]], [Finding::FilmFlat]],
        'puree_unread' => [[...SAUCE, 'hazards' => new Hazards(isLowAcidPuree: true), 'warmHours' => 25.0], []],
        'no_start_late' => [['ripenedDays' => 5.0], [Finding::NoBubbles, Finding::SmellRaw]],
        'never_soured' => [['ripenedDays' => 14.1, 'ph' => 4.61], []],
        'top_unsure' => [[], [Finding::TopUnsure]],
        'smell_unsure' => [[], [Finding::SmellUnsure]],
        'solvent' => [[], [Finding::SmellSolvent]],
        'mush' => [[], [Finding::Mushy]],
        'above_dry' => [[], [Finding::AboveDry]],
        'brine_odd' => [[], [Finding::BrineOddColour]],
        'broken' => [SAUCE, [Finding::Broken]],
        'no_start' => [['ripenedDays' => 4.9], [Finding::NoBubbles, Finding::SmellRaw]],
        'raw_late' => [['ripenedDays' => 8.0], [Finding::SmellRaw]],
        'not_sour' => [['ripenedDays' => 8.0, 'ph' => 4.9], []],
        'airlock_dry_film' => [[], [Finding::AirlockDry, Finding::FilmFlat]],
        'film_soft_yeasty' => [[], [Finding::FilmFlat, Finding::Soft, Finding::SmellYeasty]],
        'yeasty_unfermented' => [QUICK, [Finding::SmellYeasty]],
        'kahm' => [[], [Finding::FilmFlat]],
        'above_wet' => [[], [Finding::AboveWet]],
        'hisses' => [[], [Finding::LidHisses]],
        'bulge' => [[], [Finding::LidBulging]],
        'ran_over' => [[], [Finding::RanOver]],
        'airlock_dry' => [[], [Finding::AirlockDry]],
        'brown_top' => [[], [Finding::BrownTop]],
        'soft' => [[], [Finding::Soft]],
        'yeasty' => [[], [Finding::SmellYeasty]],
        'cloudy' => [[], [Finding::BrineCloudy]],
        'sediment' => [[], [Finding::SedimentWhite]],
        'tinted' => [[], [Finding::BrineTinted]],
        'olive' => [[], [Finding::ColourOlive]],
        'garlic_blue' => [[], [Finding::GarlicBlue]],
        'froth' => [[], [Finding::Bubbles]],
        'no_bubbles_soured' => [[], [Finding::NoBubbles]],
        'no_bubbles_yet' => [['ripenedDays' => 2.0], [Finding::NoBubbles]],
    ];
}

it('gives the verdict of each rule where it speaks, and not where nothing is wrong', function (
    string $id,
    array $jar,
    array $found,
): void {
    $rule = collect(CheckRules::all())->sole('id', $id);
    $jar = lookedInto($jar);
    $inspection = Inspection::of($jar, found($jar, ...$found));
    expect($inspection->verdict)
        ->toBe($rule->verdict)
        ->and(array_column($inspection->rules, 'id'))
        ->toContain($id)
        ->and($inspection->reasons())
        ->toContain($rule->because)
        ->and(said($inspection->because()))
        ->toContain(said(new Message($rule->because)))
        ->and($inspection->open)
        ->toBe([]);
    if ($rule->signs !== []) {
        expect($rule->appliesTo($jar, allWell($jar)))->toBeFalse();
    }
})->with(array_map(fn(string $id): array => [$id, ...cases()[$id]], array_keys(cases())));

it('has a case for every rule, and a word of its own for each', function (): void {
    $ids = array_column(CheckRules::all(), 'id');
    expect($ids)->toEqualCanonicalizing(array_keys(cases()))->toBe(array_values(array_unique($ids)));
});

it('finds nothing wrong where nothing is', function (array $jar): void {
    $jar = lookedInto($jar);
    $inspection = Inspection::of($jar, allWell($jar));
    expect($inspection->verdict)
        ->toBe(Verdict::Fine)
        ->and($inspection->toDo())
        ->toBe([])
        ->and(array_map(said(...), $inspection->cautions()))
        ->toBe(['A check finds only what you can see, smell and feel. If in doubt, throw it out.']);
})->with([
    'carrots in brine' => [[]],
    'kraut in the fridge' => [['method' => Method::DrySalting, 'isWarm' => false]],
    'a sauce' => [SAUCE],
    'a quick pickle' => [QUICK],
    'a yogurt' => [MILK],
]);

it('lets no jar with fuzz, colour, rot or slime through, whatever else is found in it', function (Finding $bad): void {
    foreach (
        [[], SAUCE, QUICK, ['ph' => 3.4, 'ripenedDays' => 60.0, 'day' => 60], ['isWarm' => false], ['isLive' => false]]
        as $kind
    ) {
        $jar = lookedInto($kind);
        $asked = array_merge(
            ...array_map(fn(CheckQuestion $question): array => $question->signs, CheckQuestion::of($jar)),
        );
        // Alone, with everything else well, and with everything that can be found.
        foreach ([[$bad], found($jar, $bad), [...$asked, $bad]] as $found) {
            $inspection = Inspection::of($jar, $found);
            $words = strtolower(said($inspection->because()) . implode(' ', array_map(said(...), $inspection->toDo())));
            expect($inspection->verdict)->toBe(Verdict::DoNotEat)->and(str_contains($words, 'throw'))->toBeTrue();
        }
    }
})->with([
    Finding::FuzzWhite,
    Finding::FuzzColoured,
    Finding::SpotsPink,
    Finding::SpotsBlack,
    Finding::SmellRotten,
    Finding::Slimy,
    Finding::BrineRopy,
    Finding::ColourOdd,
]);

it('never gets milder for finding more that is wrong', function (): void {
    $jar = lookedInto();
    foreach (Finding::cases() as $one) {
        $before = Inspection::of($jar, found($jar, $one))->verdict->strictness();
        foreach (Finding::cases() as $more) {
            $after = Inspection::of($jar, [...found($jar, $one), $more])->verdict->strictness();
            expect($after)->toBeGreaterThanOrEqual($before);
        }
    }
});

it('concludes nothing while something was not looked at, and stops when it must go out', function (): void {
    $jar = lookedInto();
    foreach (CheckQuestion::of($jar) as $question) {
        $found = array_values(
            array_filter(allWell($jar), fn(Finding $sign): bool => !in_array($sign, $question->signs, true)),
        );
        $inspection = Inspection::of($jar, $found);
        expect($inspection->verdict)
            ->toBe(Verdict::Wait)
            ->and($inspection->open)
            ->toBe([$question->code])
            ->and(said($inspection->because()))
            ->toContain('Not everything was checked');
    }
    expect(Inspection::of($jar, [Finding::FuzzWhite])->open)->toBe([]);
});

it('asks only what matters for the jar', function (array $jar, array $asked): void {
    expect(array_column(CheckQuestion::of(lookedInto($jar)), 'code'))->toBe($asked);
})->with([
    [[], ['top', 'under', 'brine', 'colour', 'lid', 'bubbles', 'smell', 'touch']],
    [['isWarm' => false], ['top', 'under', 'brine', 'colour', 'lid', 'smell', 'touch']],
    [['cover' => Cover::Cloth], ['top', 'under', 'brine', 'colour', 'bubbles', 'smell', 'touch']],
    [SAUCE, ['top', 'colour', 'lid', 'bubbles', 'smell', 'touch']],
    [QUICK, ['top', 'under', 'brine', 'colour', 'lid', 'fizz', 'smell', 'touch']],
]);

it('says of no jar that it is safe', function (): void {
    $words = array_map(
        fn(CheckRule $rule): string => implode(
            ' ',
            array_map(
                fn(string $code): string => said(new Message($code)),
                array_filter([$rule->because, $rule->do, $rule->caution]),
            ),
        ),
        CheckRules::all(),
    );
    $words = [...$words, ...array_map(fn(Verdict $verdict): string => said($verdict->label()), Verdict::cases())];
    foreach ($words as $text) {
        expect(preg_match('/\bsafe\b|all right to eat|can be eaten/i', $text))->toBe(0);
    }
});

it('gives every sign words, and asks for each of them somewhere', function (): void {
    $jars = [[], SAUCE, QUICK, ['method' => Method::DrySalting, 'looks' => Looks::cases()], [...SAUCE, 'day' => 0]];
    $asked = [];
    foreach ($jars as $jar) {
        $one = lookedInto($jar);
        foreach ([...CheckQuestion::of($one), ...CheckQuestion::after($one, Finding::cases())] as $question) {
            $asked = [...$asked, ...array_column($question->signs, 'value')];
        }
    }
    expect(array_unique($asked))->toEqualCanonicalizing(array_column(Finding::cases(), 'value'));
});

it('practises film against mould: the same number the same jar, and the rules agree', function (): void {
    $seen = [];
    foreach (range(0, 119) as $number) {
        $example = PracticeJar::number($number);
        expect(PracticeJar::number($number))->toEqual($example);
        $strict = $example->rule()->verdict;
        expect($strict)->toBe(
            match ($example->right) {
                'out' => Verdict::DoNotEat,
                'skim' => Verdict::FineDo,
                'nothing' => Verdict::Fine,
            },
        );
        foreach (PracticeJar::ANSWERS as $answer) {
            expect($example->isRight($answer))->toBe($answer === $example->right);
        }
        $seen["{$example->sign->value} {$example->food->code}"] = true;
    }
    // Eight things to see on each of four foods.
    expect($seen)->toHaveCount(32);
});

it('asks for the stricter thing exactly where its line is passed', function (
    array $below,
    array $above,
    array $found,
    Verdict $mild,
    Verdict $strict,
): void {
    $verdict = function (array $change) use ($found): Verdict {
        $jar = lookedInto($change);

        return Inspection::of($jar, found($jar, ...$found))->verdict;
    };
    expect($verdict($below))->toBe($mild)->and($verdict($above))->toBe($strict);
})->with(function (): array {
    // Two hours are the public line for food out of the fridge (USDA Food Safety and Inspection Service; from memory);
    // the others are common practice, no source.
    $egg = [...SAUCE, 'day' => 0, 'hazards' => new Hazards(hasEgg: true)];
    $puree = [...SAUCE, 'hazards' => new Hazards(isLowAcidPuree: true), 'warmHours' => 25.0];

    return [
        'raw egg at two hours' => [
            [...$egg, 'warmHours' => 2.0],
            [...$egg, 'warmHours' => 2.1],
            [],
            Verdict::Fine,
            Verdict::Wait,
        ],
        'raw egg at ten hours' => [
            [...$egg, 'warmHours' => 10.0],
            [...$egg, 'warmHours' => 10.1],
            [],
            Verdict::Wait,
            Verdict::DoNotEat,
        ],
        'egg on its last day' => [
            [...$egg, 'day' => 3, 'warmHours' => 1.0],
            [...$egg, 'day' => 4, 'warmHours' => 1.0],
            [],
            Verdict::Fine,
            Verdict::DoNotEat,
        ],
        'raw at two weeks' => [
            ['ripenedDays' => 14.0],
            ['ripenedDays' => 14.1],
            [Finding::NoBubbles, Finding::SmellRaw],
            Verdict::Wait,
            Verdict::DoNotEat,
        ],
        'raw in the fridge, where nobody asks for bubbles' => [
            ['ripenedDays' => 14.0, 'isWarm' => false],
            ['ripenedDays' => 14.1, 'isWarm' => false],
            [Finding::SmellRaw],
            Verdict::Wait,
            Verdict::DoNotEat,
        ],
        'raw, but it was seen to bubble' => [
            ['ripenedDays' => 30.0, 'hasSoured' => true],
            ['ripenedDays' => 30.0],
            [Finding::NoBubbles, Finding::SmellRaw],
            Verdict::Wait,
            Verdict::DoNotEat,
        ],
        'raw, but read sour' => [
            ['ripenedDays' => 30.0, 'ph' => 4.6],
            ['ripenedDays' => 30.0, 'ph' => 4.61],
            [Finding::NoBubbles, Finding::SmellRaw],
            Verdict::Fine,
            Verdict::DoNotEat,
        ],
        'a purée read at the line' => [
            [...$puree, 'ph' => 4.6],
            [...$puree, 'ph' => 4.61],
            [],
            Verdict::Fine,
            Verdict::DoNotEat,
        ],
        'a purée after a day' => [[...$puree, 'warmHours' => 24.0], $puree, [], Verdict::Fine, Verdict::Wait],
    ];
});

it('offers live brine as a rescue before day 5 only', function (float $days, bool $offered): void {
    $jar = lookedInto(['ripenedDays' => $days]);
    $do = implode(
        ' ',
        array_map(said(...), Inspection::of($jar, found($jar, Finding::NoBubbles, Finding::SmellRaw))->toDo()),
    );
    expect(str_contains($do, 'Add live brine'))->toBe($offered);
})->with([[4.0, true], [4.9, true], [5.0, false], [9.0, false]]);

it('leaves a jar that smells sour alone, however old, without a meter', function (): void {
    $jar = lookedInto(['ripenedDays' => 60.0, 'day' => 60]);
    expect(Inspection::of($jar, allWell($jar))->verdict)->toBe(Verdict::Fine);
});
