<?php

declare(strict_types=1);

use Tempesal\Core\Care\ReleaseCheck;
use Tempesal\Core\Check\CheckedJar;
use Tempesal\Core\Check\CheckQuestion;
use Tempesal\Core\Check\Finding as F;
use Tempesal\Core\Check\Inspection;
use Tempesal\Core\Check\Verdict;
use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Hazards;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\ShelfLife;
use Tempesal\Core\Check\Looks;

/*
 * What is found in which jar, and what is said of it. Where a published line stands behind a verdict its letter says so;
 * all else is common practice, no source, always the stricter way where practice differs.
 *
 * M: USDA Food Safety and Inspection Service, "Molds on Food: Are They Dangerous?" (soft and moist food with mould is
 *    thrown out; from memory).
 * B: CDC and USDA on botulism and home-preserved food (a bulging or spurting container is thrown out unopened; from
 *    memory).
 * A: 21 CFR 114.3 (pH 4.6 is the line of acidified foods; from memory).
 * E: USDA on eggs and egg dishes (two hours out of the fridge; from memory).
 * O: CDC and state extension services on garlic and herbs in oil (cold, and for days; from memory).
 */

/** A jar of a kind, by the names of what is in it. */
function situation(string $kind, int $day = 6, array $change = []): CheckedJar
{
    [$method, $foods] = match ($kind) {
        'carrots' => [Method::PouredBrine, ['carrot']],
        'kraut' => [Method::DrySalting, ['green cabbage', 'caraway']],
        'plain kraut' => [Method::DrySalting, ['green cabbage']],
        'pink kraut' => [Method::DrySalting, ['green cabbage', 'red cabbage']],
        'beets' => [Method::PouredBrine, ['beetroot']],
        'onions' => [Method::PouredBrine, ['red onion']],
        'kimchi' => [Method::KimchiSoaked, ['napa cabbage', 'chilli flakes', 'rice paste']],
        'okra' => [Method::PouredBrine, ['okra']],
        'kelp' => [Method::PouredBrine, ['carrot', 'kelp']],
        'mash' => [Method::Mash, ['red chilli']],
        'live sauce', 'heated sauce' => [Method::Transform, ['red chilli', 'cider vinegar']],
        'mayonnaise' => [Method::CulturedCondiment, ['egg yolk', 'sunflower oil', 'whey']],
        'yogurt' => [Method::MilkAndSweet, ['milk', 'yogurt']],
        'milk kefir' => [Method::MilkAndSweet, ['milk', 'kefir']],
        'water kefir' => [Method::MilkAndSweet, ['water', 'sugar', 'water kefir']],
        'kombucha' => [Method::MilkAndSweet, ['tea', 'sugar', 'kombucha']],
        'mustard' => [Method::CulturedCondiment, ['mustard seeds', 'whey']],
        'quick' => [Method::QuickSaltPickle, ['cucumber']],
        'bought kraut', 'bought heated' => [Method::Bought, ['sauerkraut']],
        'bought mayonnaise' => [Method::Bought, ['mayonnaise']],
    };
    $hazards = match ($kind) {
        'mayonnaise' => new Hazards(hasEgg: true),
        'yogurt', 'milk kefir' => new Hazards(isMilk: true),
        default => new Hazards(),
    };
    $looks = array_merge(...array_map(Looks::ofName(...), $foods));

    return new CheckedJar(
        ...[
            'method' => $method,
            'cover' => Cover::Airlock,
            'day' => $day,
            'ripenedDays' => (float) $day,
            'isWarm' => true,
            'isOnePhase' =>
                in_array($method, [Method::Mash, Method::Transform], true) ||
                $method->isMixed() ||
                $kind === 'bought mayonnaise',
            'isLive' => !in_array($kind, ['heated sauce', 'bought heated', 'bought mayonnaise', 'quick'], true),
            'hazards' => $hazards,
            'shelfLife' => ShelfLife::of($method, $hazards),
            'ph' => null,
            'warmHours' => 24.0 * $day,
            'looks' => array_values(array_unique($looks, SORT_REGULAR)),
            ...$change,
        ],
    );
}

/**
 * Everything well that the jar is asked about, but for what is found.
 *
 * @param  list<F>  $found
 * @return list<F>
 */
function lookedAt(CheckedJar $jar, array $found): array
{
    $all = $found;
    foreach (CheckQuestion::of($jar) as $question) {
        if (array_intersect(signIds($question->signs), signIds($found)) === []) {
            $well = $question->code === 'smell' ? F::SmellSour : $question->signs[0];
            $all[] = $question->code === 'bubbles' ? F::FewBubbles : $well;
        }
    }

    return $all;
}

/** @param  list<F>  $signs */
function signIds(array $signs): array
{
    return array_map(static fn(F $sign): string => $sign->value, $signs);
}

it('says what the trade says', function (
    string $kind,
    int $day,
    array $found,
    Verdict $verdict,
    array $change = [],
): void {
    $jar = situation($kind, $day, $change);
    $inspection = Inspection::of($jar, lookedAt($jar, $found));
    expect($inspection->verdict)->toBe(
        $verdict,
        implode(', ', $inspection->reasons()) . implode(', ', $inspection->open),
    );
    if ($verdict === Verdict::DoNotEat) {
        expect($inspection->toDo())->not->toBe([]);
    }
})->with(function (): Generator {
    [$fine, $do, $wait, $out] = [Verdict::Fine, Verdict::FineDo, Verdict::Wait, Verdict::DoNotEat];
    $cold = ['isWarm' => false, 'warmHours' => 48.0];
    $lid = ['cover' => Cover::ScrewLid];
    $rows = [
        // M: mould, whatever the jar, its salt and its acid.
        ...array_merge(
            ...array_map(
                static fn(string $kind): array => [
                    [$kind, 6, [F::FuzzWhite], $out],
                    [$kind, 6, [F::FuzzColoured], $out],
                    [$kind, 6, [F::FuzzWhite, F::PinkOfFood], $out],
                    [$kind, 6, [F::FuzzColoured], $out, ['ph' => 3.4]],
                ],
                ['carrots', 'kraut', 'kimchi', 'mash', 'live sauce', 'mustard', 'bought kraut'],
            ),
        ),
        // Kahm, and what is confused with it.
        // Cultured milk and sweet cultures: a mother and grains are the culture; gas only where yeasts belong.
        ['yogurt', 1, [], $fine, ['warmHours' => 8.0, ...$lid]],
        ['yogurt', 1, [F::LidBulging], $out, ['warmHours' => 8.0, ...$lid]],
        ['yogurt', 1, [F::LidHisses], $out, ['warmHours' => 8.0, ...$lid]],
        ['yogurt', 1, [F::Broken], $fine, ['warmHours' => 8.0]],
        ['yogurt', 1, [F::SpotsPink], $out, ['warmHours' => 8.0]],
        ['yogurt', 1, [F::Slimy], $out, ['warmHours' => 8.0]],
        ['yogurt', 2, [F::SmellRaw], $out, ['warmHours' => 31.0]],
        ['yogurt', 2, [], $out, ['warmHours' => 31.0, 'ph' => 5.2]],
        ['yogurt', 2, [], $fine, ['warmHours' => 31.0, 'ph' => 4.2]],
        ['milk kefir', 1, [F::LidHisses], $do, ['warmHours' => 24.0, ...$lid]],
        ['milk kefir', 1, [F::LidBulging], $do, ['warmHours' => 24.0, ...$lid]],
        ['milk kefir', 1, [F::Broken], $fine, ['warmHours' => 24.0]],
        ['milk kefir', 1, [F::Slimy], $out, ['warmHours' => 24.0]],
        ['milk kefir', 1, [F::Slimy, F::SlipOfFood], $fine, ['warmHours' => 24.0]],
        ['milk kefir', 1, [F::FuzzWhite], $out, ['warmHours' => 24.0]],
        ['milk kefir', 2, [F::SmellRaw], $out, ['warmHours' => 40.0]],
        ['water kefir', 2, [F::LidBulging], $do, $lid],
        ['water kefir', 2, [F::Slimy, F::SlipOfFood], $fine],
        ['water kefir', 2, [F::SmellRotten], $out],
        ['kombucha', 8, [F::FilmFlat], $do],
        ['kombucha', 8, [F::FuzzColoured], $out],
        ['kombucha', 8, [F::Slimy, F::SlipOfFood], $fine],
        ['kombucha', 8, [F::Slimy, F::SlipNew], $out],
        ['kombucha', 16, [], $out, ['ph' => 5.0]],
        ['kombucha', 16, [], $fine, ['ph' => 3.1]],
        ['carrots', 6, [F::FilmFlat], $do],
        ['kraut', 12, [F::FilmFlat], $do],
        ['carrots', 6, [F::FilmFlat, F::FuzzWhite], $out],
        ['carrots', 6, [F::TopUnsure], $wait],
        ['carrots', 6, [F::TopUnsure, F::AboveDry], $out],
        ['carrots', 6, [F::FilmFlat, F::AirlockDry], $wait],
        ['carrots', 9, [F::FilmFlat, F::Soft, F::SmellYeasty], $wait],
        // Colour: the one question, and the strict way without its answer.
        ['carrots', 6, [F::SpotsPink], $out],
        ['carrots', 6, [F::SpotsPink, F::PinkOfFood], $out],
        ['plain kraut', 6, [F::SpotsPink, F::PinkOfFood], $out],
        ['pink kraut', 6, [F::SpotsPink], $out],
        ['pink kraut', 6, [F::SpotsPink, F::PinkOfFood], $fine],
        ['pink kraut', 6, [F::SpotsPink, F::PinkLying], $out],
        ['pink kraut', 6, [F::SpotsPink, F::PinkOfFood, F::PinkLying], $out],
        ['pink kraut', 6, [F::ColourOdd], $out],
        ['pink kraut', 6, [F::ColourOdd, F::PinkOfFood], $fine],
        ['onions', 6, [F::ColourOdd, F::PinkOfFood], $fine],
        ['onions', 6, [F::SpotsPink, F::PinkLying], $out],
        ['beets', 6, [F::ColourOdd, F::PinkOfFood], $fine],
        ['carrots', 6, [F::ColourOdd, F::PinkOfFood], $out],
        ['kimchi', 6, [F::SpotsPink, F::PinkOfFood], $fine],
        ['carrots', 6, [F::BrineTinted], $fine],
        ['carrots', 6, [F::ColourOlive], $fine],
        ['carrots', 6, [F::GarlicBlue], $fine],
        ['plain kraut', 6, [F::BrownTop], $do],
        ['carrots', 6, [F::BrineOddColour], $wait],
        // Specks.
        ['carrots', 6, [F::SpotsBlack], $out],
        ['carrots', 6, [F::SpotsBlack, F::SpecksOfFood], $out],
        ['kimchi', 6, [F::SpotsBlack], $out],
        ['kimchi', 6, [F::SpotsBlack, F::SpecksOfFood], $fine],
        ['kimchi', 6, [F::SpotsBlack, F::SpecksGrow], $out],
        ['kraut', 6, [F::SpotsBlack, F::SpecksOfFood], $fine],
        ['kraut', 6, [F::SpotsBlack, F::SpecksGrow], $out],
        ['plain kraut', 6, [F::SpotsBlack, F::SpecksOfFood], $out],
        ['mustard', 6, [F::SpotsBlack, F::SpecksOfFood], $fine],
        ['mustard', 6, [F::SpotsBlack, F::SpecksOfFood, F::FuzzColoured], $out],
        // Slip.
        ['carrots', 6, [F::Slimy], $out],
        ['carrots', 6, [F::Slimy, F::SlipOfFood], $out],
        ['okra', 6, [F::Slimy], $out],
        ['okra', 6, [F::Slimy, F::SlipOfFood], $fine],
        ['okra', 6, [F::Slimy, F::SlipNew], $out],
        ['okra', 6, [F::BrineRopy, F::SlipOfFood], $fine],
        ['okra', 6, [F::BrineRopy, F::SlipNew], $out],
        ['kelp', 6, [F::Slimy, F::SlipOfFood], $fine],
        ['kelp', 6, [F::Slimy, F::SlipOfFood, F::SmellRotten], $out],
        ['mustard', 6, [F::Slimy, F::SlipOfFood], $fine],
        ['carrots', 6, [F::BrineRopy], $out],
        // Smells.
        ['carrots', 6, [F::SmellFunky], $fine],
        ['carrots', 6, [F::SmellRotten], $out],
        ['kraut', 4, [F::SmellRotten], $out],
        ['kraut', 4, [F::SmellSulphur], $do],
        ['kraut', 13, [F::SmellSulphur], $do],
        ['kraut', 15, [F::SmellSulphur], $wait],
        ['onions', 5, [F::SmellSulphur], $do],
        ['carrots', 5, [F::SmellSulphur], $wait],
        ['kimchi', 3, [F::SmellSulphur], $do],
        ['carrots', 6, [F::SmellSolvent], $wait],
        ['carrots', 6, [F::SmellUnsure], $wait],
        ['carrots', 6, [F::SmellUnsure, F::Mushy], $out],
        ['carrots', 6, [F::SmellYeasty], $do],
        ['quick', 2, [F::SmellYeasty], $wait],
        ['heated sauce', 6, [F::SmellYeasty], $wait],
        // Above the brine.
        ['carrots', 6, [F::AboveWet], $do],
        ['carrots', 6, [F::AboveDry], $wait],
        // Texture.
        ['carrots', 6, [F::Soft], $do],
        ['carrots', 6, [F::Mushy], $wait],
        // Insects.
        ['carrots', 6, [F::Insects], $out],
        ['beets', 6, [F::Insects, F::PinkOfFood], $out],
        // B: gas where something live makes it, and where nothing does.
        ['carrots', 6, [F::LidBulging], $do, $lid],
        ['kraut', 3, [F::LidHisses], $do, $lid],
        ['carrots', 6, [F::RanOver], $do],
        ['live sauce', 20, [F::Fizz], $do, $cold],
        ['live sauce', 20, [F::Fizz], $do, [...$cold, 'ph' => 3.6]],
        ['live sauce', 20, [F::LidBulging], $do, [...$cold, ...$lid]],
        ['live sauce', 20, [F::LidBulging, F::Fizz], $do, [...$cold, ...$lid, 'ph' => 3.6]],
        ['live sauce', 20, [F::LidBulging, F::SmellRotten], $out, [...$cold, ...$lid]],
        ['heated sauce', 20, [F::Fizz], $out, $cold],
        ['heated sauce', 20, [F::LidBulging], $out, [...$cold, ...$lid]],
        ['quick', 2, [F::Fizz], $out],
        ['quick', 2, [F::LidBulging], $out, $lid],
        ['quick', 2, [F::BrineCloudy], $out],
        ['bought kraut', 3, [F::LidBulging], $do, [...$cold, ...$lid]],
        ['bought kraut', 3, [F::LidBulging, F::SmellUnsure], $wait, [...$cold, ...$lid]],
        ['bought kraut', 3, [F::LidBulging, F::FuzzWhite], $out, [...$cold, ...$lid]],
        ['bought heated', 3, [F::LidBulging], $out, [...$cold, ...$lid]],
        ['bought mayonnaise', 3, [F::LidBulging], $out, [...$cold, ...$lid]],
        ['bought heated', 3, [F::Fizz], $out, $cold],
        // Brine and sediment.
        ['carrots', 6, [F::BrineCloudy], $fine],
        ['carrots', 6, [F::SedimentWhite], $fine],
        ['carrots', 6, [F::BrineCloudy, F::SedimentWhite], $fine],
        ['carrots', 6, [F::Bubbles], $fine],
        // Starting, and not starting.
        ['carrots', 2, [F::NoBubbles], $fine],
        ['carrots', 4, [F::NoBubbles, F::SmellRaw], $wait],
        ['carrots', 8, [F::NoBubbles, F::SmellRaw], $wait],
        ['carrots', 8, [F::SmellRaw], $wait],
        ['carrots', 15, [F::NoBubbles, F::SmellRaw], $out],
        ['carrots', 8, [F::NoBubbles], $fine],
        // A: acid, by a reading.
        ['carrots', 8, [], $fine, ['ph' => ReleaseCheck::LINE_PH]],
        ['carrots', 8, [], $wait, ['ph' => 4.7]],
        ['carrots', 15, [], $out, ['ph' => 4.7]],
        ['carrots', 15, [], $fine, ['ph' => 3.7]],
        ['carrots', 15, [], $out, ['hasSoured' => false]],
        // E: egg.
        ['mayonnaise', 0, [], $fine, ['warmHours' => 1.0]],
        ['mayonnaise', 0, [], $wait, ['warmHours' => 3.0]],
        ['mayonnaise', 0, [], $out, ['warmHours' => 11.0]],
        ['mayonnaise', 0, [F::Broken], $out, ['warmHours' => 1.0]],
        ['mayonnaise', 0, [F::Broken, F::BrokeInMaking], $do, ['warmHours' => 1.0]],
        ['mayonnaise', 0, [F::Broken, F::BrokeLater], $out, ['warmHours' => 1.0]],
        ['mayonnaise', 2, [F::Broken, F::BrokeInMaking], $out, [...$cold, 'warmHours' => 8.0]],
        ['mayonnaise', 3, [], $wait, [...$cold, 'warmHours' => 8.0]],
        ['mayonnaise', 4, [], $out, [...$cold, 'warmHours' => 8.0]],
        ['bought mayonnaise', 5, [], $fine, $cold],
        ['bought mayonnaise', 30, [], $fine, $cold],
        ['mustard', 3, [F::Broken], $wait],
        // O: plants lying in oil.
        [
            'mash',
            3,
            [],
            $fine,
            [...$cold, 'hazards' => new Hazards(hasPlantsInOil: true), 'shelfLife' => plantsInOil()],
        ],
        ['mash', 4, [], $out, [...$cold, 'hazards' => new Hazards(hasPlantsInOil: true), 'shelfLife' => plantsInOil()]],
        // A low-acid purée that stood warm.
        ['mash', 2, [], $wait, ['hazards' => new Hazards(isLowAcidPuree: true)]],
        ['mash', 2, [], $out, ['hazards' => new Hazards(isLowAcidPuree: true), 'ph' => 5.1]],
        ['mash', 2, [], $fine, ['hazards' => new Hazards(isLowAcidPuree: true), 'ph' => 4.2]],
        // Nothing is the matter.
        ...array_map(static fn(string $kind): array => [$kind, 6, [], $fine], [
            'carrots',
            'kraut',
            'pink kraut',
            'beets',
            'onions',
            'kimchi',
            'okra',
            'mash',
            'mustard',
        ]),
        ['live sauce', 20, [], $fine, $cold],
        ['heated sauce', 20, [], $fine, $cold],
    ];
    foreach ($rows as $i => $row) {
        yield "{$i} {$row[0]}, day {$row[1]}: " . implode(' + ', signIds($row[2])) => $row;
    }
});

function plantsInOil(): ShelfLife
{
    return ShelfLife::of(Method::Mash, new Hazards(hasPlantsInOil: true));
}

it('names botulism only where nothing live can make gas', function (string $kind, bool $isNamed): void {
    $jar = situation($kind, 6, ['cover' => Cover::ScrewLid, 'isWarm' => false, 'warmHours' => 24.0]);
    $codes = array_map(
        static fn($message): string => $message->code,
        Inspection::of($jar, lookedAt($jar, [F::LidBulging]))->cautions(),
    );
    expect(array_intersect($codes, ['check_caution.bulge_unfermented', 'check_caution.bulge_bought']) !== [])->toBe(
        $isNamed,
    );
})->with([
    ['carrots', false],
    ['kraut', false],
    ['live sauce', false],
    ['mustard', false],
    ['bought kraut', false],
    ['heated sauce', true],
    ['quick', true],
    ['bought heated', true],
    ['bought mayonnaise', true],
]);

it('asks what tells food from growth only where the food can do it', function (): void {
    $asked = static fn(string $kind, F ...$found): array => array_map(
        static fn(CheckQuestion $question): string => $question->code,
        CheckQuestion::after(situation($kind), array_values($found)),
    );
    expect($asked('carrots', F::SpotsPink, F::SpotsBlack, F::Slimy))
        ->toBe([])
        ->and($asked('pink kraut', F::SpotsPink))
        ->toBe(['pink'])
        ->and($asked('pink kraut', F::FilmFlat))
        ->toBe([])
        ->and($asked('kimchi', F::SpotsPink, F::SpotsBlack, F::Slimy))
        ->toBe(['pink', 'specks', 'slip'])
        ->and($asked('mayonnaise', F::Broken))
        ->toBe([]);
});
