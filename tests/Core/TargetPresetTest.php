<?php

declare(strict_types=1);

use Tempesal\Core\Intake\TargetPreset as P;

/*
 * Limits of public bodies, from memory of the publications that each preset names. Grams of salt are 393 mg of sodium
 * each (its share by weight, 22.99 of 58.44); the bodies round to 400.
 */

it('gives the published figures', function (P $preset, int $milligrams): void {
    expect($preset->milligrams())->toBe($milligrams);
})->with([
    'WHO 2012: under 2 g of sodium, 5 g of salt' => [P::WhoAdult, 2000],
    'FDA daily value, 21 CFR 101.9(c)(9)' => [P::UsDailyValue, 2300],
    'NASEM 2019, 14 years and older: reduce above 2300 mg' => [P::NasemAdult, 2300],
    'NASEM 2019, 14-18 years' => [P::NasemChild14, 2300],
    'NASEM 2019, 9-13 years' => [P::NasemChild9, 1800],
    'NASEM 2019, 4-8 years' => [P::NasemChild4, 1500],
    'NASEM 2019, 1-3 years' => [P::NasemChild1, 1200],
    'AHA, ideal for most adults' => [P::AhaIdeal, 1500],
    'EFSA 2019, adults' => [P::EfsaAdult, 2000],
    'EFSA 2019, 1-3 years' => [P::EfsaChild1, 1100],
    'EFSA 2019, 4-6 years' => [P::EfsaChild4, 1300],
    'EFSA 2019, 7-10 years' => [P::EfsaChild7, 1700],
    'EFSA 2019, 11-17 years' => [P::EfsaChild11, 2000],
    'KDIGO: under 2 g of sodium' => [P::KidneyDisease, 2000],
]);

it('agrees with the grams of salt that the UK says', function (P $preset, int $saltG): void {
    expect($preset->milligrams())->toEqualWithDelta(($saltG * 1000 * 22.99) / 58.44, 0.02 * $saltG * 400);
})->with([[P::UkAdult, 6], [P::UkChild7, 5], [P::UkChild4, 3], [P::UkChild1, 2]]);

it('offers no adequate intake as a limit, and nothing for a child under one', function (): void {
    $offered = P::offered();
    expect($offered)
        ->not->toContain(P::NasemAdequate)
        ->and(count($offered))
        ->toBe(count(P::cases()) - 1)
        ->and(min(array_map(static fn(P $one): int => $one->milligrams(), $offered)))
        ->toBe(P::UkChild1->milligrams());
    foreach (P::cases() as $preset) {
        expect(said($preset->label()))
            ->not->toBe('')
            ->and(said($preset->source()))
            ->not->toBe('')
            ->and(said($preset->label()))
            ->not->toMatch('/month|under (one|1)|baby/i');
    }
});
