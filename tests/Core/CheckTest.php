<?php

declare(strict_types=1);

use Tempesal\Core\Check\Example;
use Tempesal\Core\Check\Inspection;
use Tempesal\Core\Check\Question;
use Tempesal\Core\Check\Rule;
use Tempesal\Core\Check\Rules;
use Tempesal\Core\Check\Sign;
use Tempesal\Core\Check\Situation;
use Tempesal\Core\Check\Verdict;
use Tempesal\Core\Formula\Method;

/**
 * Carrots in brine on their sixth day.
 *
 * @param  array<string, mixed>  $change
 */
function lookedInto(array $change = []): Situation
{
    return new Situation(
        ...[
            'method' => Method::PouredBrine,
            'cover' => 'airlock',
            'day' => 6,
            'ripenedDays' => 6.0,
            'isWarm' => true,
            'isOnePhase' => false,
            'isLive' => true,
            'hasEgg' => false,
            'hasGarlicInOil' => false,
            'ph' => null,
            'warmHours' => 144.0,
            ...$change,
        ],
    );
}

/**
 * A jar of a kind in which everything is as it should be.
 *
 * @return list<Sign>
 */
function allWell(Situation $jar): array
{
    $well = [
        Sign::TopClean,
        Sign::AllUnder,
        Sign::BrineClear,
        Sign::ColourAsExpected,
        Sign::LidFlat,
        Sign::FewBubbles,
        Sign::Still,
        Sign::SmellSour,
        Sign::Crisp,
        Sign::Smooth,
    ];

    return array_values(
        array_filter(
            $well,
            fn(Sign $sign): bool => array_filter(
                Question::of($jar),
                fn(Question $question): bool => in_array($sign, $question->signs, true),
            ) !== [],
        ),
    );
}

/**
 * The same with something found in it, in the place of what was well there.
 *
 * @return list<Sign>
 */
function found(Situation $jar, Sign ...$found): array
{
    $all = allWell($jar);
    foreach (Question::of($jar) as $question) {
        if (array_intersect(array_column($question->signs, 'value'), array_column($found, 'value')) !== []) {
            $all = array_filter($all, fn(Sign $sign): bool => !in_array($sign, $question->signs, true));
        }
    }

    return [...array_values($all), ...$found];
}

const SAUCE = ['method' => Method::CulturedCondiment, 'isOnePhase' => true, 'cover' => 'loose lid'];
const QUICK = ['method' => Method::QuickSaltPickle, 'isLive' => false, 'cover' => 'screw lid', 'day' => 2];

/** What each rule is tried on: the jar, and what is found in it. */
function cases(): array
{
    return [
        'fuzz_white' => [[], [Sign::FuzzWhite]],
        'fuzz_coloured' => [[], [Sign::FuzzColoured]],
        'pink' => [[], [Sign::SpotsPink]],
        'black' => [[], [Sign::SpotsBlack]],
        'insects' => [[], [Sign::Insects]],
        'rotten' => [[], [Sign::SmellRotten]],
        'slime' => [[], [Sign::Slimy]],
        'ropy' => [[], [Sign::BrineRopy]],
        'odd_colour' => [[], [Sign::ColourOdd]],
        'mush_off' => [[], [Sign::Mushy, Sign::SmellUnsure]],
        'dry_unsure' => [[], [Sign::AboveDry, Sign::TopUnsure]],
        'fizz_unfermented' => [QUICK, [Sign::Fizz]],
        'bulge_unfermented' => [QUICK, [Sign::LidBulging]],
        'bulge_bought' => [['method' => Method::Bought, 'cover' => 'screw lid'], [Sign::LidBulging]],
        'cloudy_quick' => [QUICK, [Sign::BrineCloudy]],
        'quick_old' => [[...QUICK, 'day' => 8], []],
        'egg_warm' => [[...SAUCE, 'hasEgg' => true, 'warmHours' => 10.5], []],
        'egg_broken' => [[...SAUCE, 'hasEgg' => true, 'warmHours' => 4.0], [Sign::Broken]],
        'garlic_in_oil' => [[...SAUCE, 'hasGarlicInOil' => true, 'day' => 5], []],
        'never_soured' => [['ripenedDays' => 15.0, 'ph' => 4.9], []],
        'top_unsure' => [[], [Sign::TopUnsure]],
        'smell_unsure' => [[], [Sign::SmellUnsure]],
        'solvent' => [[], [Sign::SmellSolvent]],
        'mush' => [[], [Sign::Mushy]],
        'above_dry' => [[], [Sign::AboveDry]],
        'brine_odd' => [[], [Sign::BrineOddColour]],
        'broken' => [SAUCE, [Sign::Broken]],
        'no_start' => [[], [Sign::NoBubbles, Sign::SmellRaw]],
        'raw_late' => [['ripenedDays' => 8.0], [Sign::SmellRaw]],
        'not_sour' => [['ripenedDays' => 8.0, 'ph' => 4.9], []],
        'airlock_dry_film' => [[], [Sign::AirlockDry, Sign::FilmFlat]],
        'film_soft_yeasty' => [[], [Sign::FilmFlat, Sign::Soft, Sign::SmellYeasty]],
        'yeasty_unfermented' => [QUICK, [Sign::SmellYeasty]],
        'kahm' => [[], [Sign::FilmFlat]],
        'above_wet' => [[], [Sign::AboveWet]],
        'hisses' => [[], [Sign::LidHisses]],
        'bulge' => [[], [Sign::LidBulging]],
        'ran_over' => [[], [Sign::RanOver]],
        'airlock_dry' => [[], [Sign::AirlockDry]],
        'brown_top' => [[], [Sign::BrownTop]],
        'soft' => [[], [Sign::Soft]],
        'yeasty' => [[], [Sign::SmellYeasty]],
        'cloudy' => [[], [Sign::BrineCloudy]],
        'sediment' => [[], [Sign::SedimentWhite]],
        'tinted' => [[], [Sign::BrineTinted]],
        'olive' => [[], [Sign::ColourOlive]],
        'garlic_blue' => [[], [Sign::GarlicBlue]],
        'froth' => [[], [Sign::Bubbles]],
        'no_bubbles_soured' => [[], [Sign::NoBubbles]],
        'no_bubbles_yet' => [['ripenedDays' => 2.0], [Sign::NoBubbles]],
    ];
}

it('gives the verdict of each rule where it speaks, and not where nothing is wrong', function (
    string $id,
    array $jar,
    array $found,
): void {
    $rule = collect(Rules::all())->sole('id', $id);
    $jar = lookedInto($jar);
    $inspection = Inspection::of($jar, found($jar, ...$found));
    expect($inspection->verdict)
        ->toBe($rule->verdict)
        ->and(array_column($inspection->rules, 'id'))
        ->toContain($id)
        ->and($inspection->because())
        ->toContain($rule->because)
        ->and($inspection->open)
        ->toBe([]);
    if ($rule->signs !== []) {
        expect($rule->appliesTo($jar, allWell($jar)))->toBeFalse();
    }
})->with(array_map(fn(string $id): array => [$id, ...cases()[$id]], array_keys(cases())));

it('has a case for every rule, and a word of its own for each', function (): void {
    $ids = array_column(Rules::all(), 'id');
    expect($ids)->toEqualCanonicalizing(array_keys(cases()))->toBe(array_values(array_unique($ids)));
});

it('finds nothing wrong where nothing is', function (array $jar): void {
    $jar = lookedInto($jar);
    $inspection = Inspection::of($jar, allWell($jar));
    expect($inspection->verdict)
        ->toBe(Verdict::Fine)
        ->and($inspection->toDo())
        ->toBe([])
        ->and($inspection->cautions())
        ->toBe(['A look finds what can be seen, smelled and felt, no more. In doubt, throw it out.']);
})->with([
    'carrots in brine' => [[]],
    'kraut in the fridge' => [['method' => Method::DrySalting, 'isWarm' => false]],
    'a sauce' => [SAUCE],
    'a quick pickle' => [QUICK],
]);

it('lets no jar with fuzz, colour, rot or slime through, whatever else is found in it', function (
    Sign $bad,
): void {
    foreach (
        [
            [],
            SAUCE,
            QUICK,
            ['ph' => 3.4, 'ripenedDays' => 60.0, 'day' => 60],
            ['isWarm' => false],
            ['isLive' => false],
        ]
        as $kind
    ) {
        $jar = lookedInto($kind);
        $asked = array_merge(
            ...array_map(fn(Question $question): array => $question->signs, Question::of($jar)),
        );
        // Alone, with everything else well, and with everything that can be found.
        foreach ([[$bad], found($jar, $bad), [...$asked, $bad]] as $found) {
            $inspection = Inspection::of($jar, $found);
            $words = strtolower($inspection->because() . implode(' ', $inspection->toDo()));
            expect($inspection->verdict)
                ->toBe(Verdict::DoNotEat)
                ->and(str_contains($words, 'throw'))
                ->toBeTrue();
        }
    }
})->with([
    Sign::FuzzWhite,
    Sign::FuzzColoured,
    Sign::SpotsPink,
    Sign::SpotsBlack,
    Sign::SmellRotten,
    Sign::Slimy,
    Sign::BrineRopy,
    Sign::ColourOdd,
]);

it('never gets milder for finding more that is wrong', function (): void {
    $jar = lookedInto();
    foreach (Sign::cases() as $one) {
        $before = Inspection::of($jar, found($jar, $one))->verdict->strictness();
        foreach (Sign::cases() as $more) {
            $after = Inspection::of($jar, [...found($jar, $one), $more])->verdict->strictness();
            expect($after)->toBeGreaterThanOrEqual($before);
        }
    }
});

it('concludes nothing while something was not looked at, and stops when it must go out', function (): void {
    $jar = lookedInto();
    foreach (Question::of($jar) as $question) {
        $found = array_values(
            array_filter(allWell($jar), fn(Sign $sign): bool => !in_array($sign, $question->signs, true)),
        );
        $inspection = Inspection::of($jar, $found);
        expect($inspection->verdict)
            ->toBe(Verdict::Wait)
            ->and($inspection->open)
            ->toBe([$question->code])
            ->and($inspection->because())
            ->toContain('Not everything was looked at');
    }
    expect(Inspection::of($jar, [Sign::FuzzWhite])->open)->toBe([]);
});

it('asks only what matters for the jar', function (array $jar, array $asked): void {
    expect(array_column(Question::of(lookedInto($jar)), 'code'))->toBe($asked);
})->with([
    [[], ['top', 'under', 'brine', 'colour', 'lid', 'bubbles', 'smell', 'touch']],
    [['isWarm' => false], ['top', 'under', 'brine', 'colour', 'lid', 'smell', 'touch']],
    [['cover' => 'cloth'], ['top', 'under', 'brine', 'colour', 'bubbles', 'smell', 'touch']],
    [SAUCE, ['top', 'colour', 'lid', 'bubbles', 'smell', 'touch']],
    [QUICK, ['top', 'under', 'brine', 'colour', 'lid', 'fizz', 'smell', 'touch']],
]);

it('says of no jar that it is safe', function (): void {
    $words = array_map(
        fn(Rule $rule): string => "{$rule->because} {$rule->do} {$rule->caution}",
        Rules::all(),
    );
    $words = [...$words, ...array_map(fn(Verdict $verdict): string => $verdict->label(), Verdict::cases())];
    foreach ($words as $text) {
        expect(preg_match('/\bsafe\b|all right to eat|can be eaten/i', $text))->toBe(0);
    }
});

it('gives every sign words, and asks for each of them somewhere', function (): void {
    $jars = [[], SAUCE, QUICK, ['method' => Method::DrySalting]];
    $asked = [];
    foreach ($jars as $jar) {
        foreach (Question::of(lookedInto($jar)) as $question) {
            $asked = [...$asked, ...array_column($question->signs, 'value')];
        }
    }
    expect(array_unique($asked))->toEqualCanonicalizing(array_column(Sign::cases(), 'value'));
});

it('practises film against mould: the same number the same jar, and the rules agree', function (): void {
    $seen = [];
    foreach (range(0, 119) as $number) {
        $example = Example::number($number);
        expect(Example::number($number))->toEqual($example);
        $strict = $example->rule()->verdict;
        expect($strict)->toBe(
            match ($example->right) {
                'out' => Verdict::DoNotEat,
                'skim' => Verdict::FineDo,
                'nothing' => Verdict::Fine,
            },
        );
        foreach (Example::ANSWERS as $answer) {
            expect($example->isRight($answer))->toBe($answer === $example->right);
        }
        $seen["{$example->sign->value} {$example->food}"] = true;
    }
    // Eight things to see on each of four foods.
    expect($seen)->toHaveCount(32);
});
