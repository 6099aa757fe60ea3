<?php

declare(strict_types=1);

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Inverse\InverseAnswer;
use Tempesal\Core\Inverse\InverseQuestions;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Freshen;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Rinsing;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Salt\SaltBasis;
use Tempesal\Core\Uptake\TemperatureHistory;
use Tests\Support\Kitchen;

function ask(array $question, ?Ledger $ledger = null): InverseAnswer
{
    return InverseQuestions::read(Fields::of($question, 'question'))->answer($ledger ?? Kitchen::kraut());
}

// Every answer is put back into the ledger: doing what it says must give what was wanted.
it('names the salt that reaches a strength', function (string $basis): void {
    $answer = ask([
        'question' => 'salt_for_strength',
        'share' => 0.03,
        'basis' => $basis,
        'product' => Kitchen::salt('grey-sea')->toArray(),
    ]);
    $salted = Kitchen::kraut()->with(
        new Salt(
            \Tempesal\Core\Salt\SaltDose::weighed(Kitchen::salt('grey-sea'), Grams::of($answer->amount)),
            Phase::Brine,
        ),
    );
    expect(Strength::of($salted->state())->share(SaltBasis::from($basis)))
        ->toEqualWithDelta(0.03, 1e-9)
        ->and(said($answer->message))
        ->toContain('grey sea salt');
})->with(['of_water', 'brine_strength', 'of_everything']);

it('names the water that thins to a strength', function (string $basis): void {
    $answer = ask(['question' => 'water_for_strength', 'share' => 0.015, 'basis' => $basis]);
    $thinned = Kitchen::kraut()->with(new Add(Kitchen::water(), Band::exact($answer->amount), Phase::Brine));
    expect(Strength::of($thinned->state())->share(SaltBasis::from($basis)))->toEqualWithDelta(0.015, 1e-9);
})->with(['of_water', 'brine_strength', 'of_everything']);

it('names the most of another brine that keeps a jar under a strength', function (string $basis): void {
    $brine = Kitchen::food('brine', 94, 1600);
    $jar = new Ledger([new Add(Kitchen::cabbage(), Band::exact(500), Phase::Sauce)]);
    $answer = ask(
        [
            'question' => 'brine_under_strength',
            'share' => 0.012,
            'basis' => $basis,
            'liquid' => $brine->toArray(),
        ],
        $jar,
    );
    $fed = $jar->with(new Starter($brine, Grams::of($answer->amount)));
    expect(Strength::of($fed->state())->share(SaltBasis::from($basis)))
        ->toEqualWithDelta(0.012, 1e-9)
        ->and(ask(['question' => 'brine_under_strength', 'share' => 0.1, 'liquid' => $brine->toArray()], $jar)->amount)
        ->toBeNull()
        ->and(
            ask(
                [
                    'question' => 'brine_under_strength',
                    'share' => 0.012,
                    'liquid' => $brine->toArray(),
                    'there' => 20,
                ],
                $jar,
            )->amount,
        )
        ->toBe(20.0)
        ->and(ask(['question' => 'brine_under_strength', 'share' => 0.012, 'liquid' => $brine->toArray()])->isReached)
        ->toBeFalse();
})->with(['of_water', 'brine_strength', 'of_everything']);

it('names the portion that holds so much', function (): void {
    $answer = ask(['question' => 'portion', 'sodiumMg' => 140]);
    expect(Serve::of(Served::Pieces, Grams::of($answer->amount))->sodiumMg(Kitchen::kraut()->state(), Point::typical()))
        ->toEqualWithDelta(140, 1e-9)
        ->and(said(ask(['question' => 'portion', 'sodiumMg' => 90_000])->message))
        ->toContain('that are left');
});

it('names how long to rinse, or says that it is not enough', function (): void {
    $state = Kitchen::kraut()->state();
    $answer = ask(['question' => 'rinse_time', 'sodiumMg' => 250, 'grams' => 40]);
    $rinsed = Serve::of(Served::Pieces, Grams::of(40))->rinsed(Rinsing::underTheTap(Seconds::of($answer->amount)));
    expect($rinsed->sodiumMg($state, Point::typical()))
        ->toEqualWithDelta(250, 0.01)
        ->and(ask(['question' => 'rinse_time', 'sodiumMg' => 1, 'grams' => 40]))
        ->isReached->toBeFalse()
        ->and(ask(['question' => 'rinse_time', 'sodiumMg' => 900, 'grams' => 40]))
        ->amount->toBeNull()
        ->isReached->toBeTrue();
});

it('names how long to soak, or says that it is not enough', function (): void {
    $answer = ask(['question' => 'soak_time', 'sodiumMg' => 200, 'grams' => 40, 'water' => 1500]);
    $soaked = Kitchen::kraut()->with(
        new Freshen(Grams::of(1500), Band::exact(0.07)),
        Soak::lasting(Seconds::of($answer->amount), TemperatureHistory::constant(Celsius::of(4))),
    );
    expect(Serve::of(Served::Pieces, Grams::of(40))->sodiumMg($soaked->state(), Point::typical()))
        ->toEqualWithDelta(200, 0.01)
        ->and(said(ask(['question' => 'soak_time', 'sodiumMg' => 100, 'grams' => 40, 'water' => 200])->message))
        ->toContain('Use more water');
});

it('says so when nothing is to be done', function (): void {
    expect(ask(['question' => 'salt_for_strength', 'share' => 0.001]))
        ->amount->toBeNull()
        ->isReached->toBeTrue()
        ->and(ask(['question' => 'water_for_strength', 'share' => 0.1]))
        ->amount->toBeNull()
        ->isReached->toBeTrue()
        ->and(ask(['question' => 'soak_time', 'sodiumMg' => 5000, 'grams' => 40, 'water' => 200]))
        ->amount->toBeNull();
});

it('refuses a question that cannot be', function (array $question, string $path): void {
    expect(fn() => ask($question))->toThrow(fn(InvalidField $refusal) => expect($refusal->path)->toBe($path));
})->with([
    [['question' => 'why'], 'question.question'],
    [['question' => 'salt_for_strength', 'share' => 0], 'question.share'],
    [['question' => 'salt_for_strength', 'share' => 0.02, 'basis' => 'of_vegetable'], 'question.basis'],
    [['question' => 'portion', 'sodiumMg' => -3], 'question.sodiumMg'],
    [['question' => 'rinse_time', 'sodiumMg' => 30, 'grams' => 0], 'question.grams'],
    [['question' => 'rinse_time', 'sodiumMg' => 30, 'grams' => 10, 'phase' => 'brine'], 'question.phase'],
    [['question' => 'soak_time', 'sodiumMg' => 30, 'grams' => 10], 'question.water'],
]);
