<?php

declare(strict_types=1);

use App\Pantry\FormulaLibrary;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Ferment\ExpectedAcid;
use Tempesal\Core\Ferment\Ripening;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Uptake\Diffusivity;
use Tempesal\Core\Uptake\TemperatureHistory;
use Tempesal\Core\Uptake\Tissue;
use Tests\Support\Kitchen;

const DAY = 86_400.0;

it('ripens two and a quarter times as fast ten degrees warmer', function (): void {
    expect(Ripening::factor(Celsius::of(31)) / Ripening::factor(Celsius::of(21)))
        ->toEqualWithDelta(2.25, 1e-12)
        ->and(Ripening::factor(Celsius::of(21)))
        ->toBe(1.0)
        ->and(Ripening::factor(Celsius::of(4)))
        ->toBeLessThan(0.2);
});

it('ripens the kimchi of the library in the cold as it does on a cool counter', function (): void {
    $window = static fn(string $key): array => FormulaLibrary::document($key)['window'];
    $ripe = static fn(array $window): float => $window['readyDays'] *
        Ripening::factor(Celsius::of((float) $window['celsius']));
    expect($ripe($window('cold-kimchi')))->toEqualWithDelta(
        $ripe($window('kimchi-dry-salted')),
        0.02 * $ripe($window('cold-kimchi')),
    );
    // Kraut in the cold: six weeks at 15.5 °C would be about five months at 4 °C.
    expect((42 * Ripening::factor(Celsius::of(15.5))) / Ripening::factor(Celsius::of(4)))
        ->toBeGreaterThan(120)
        ->toBeLessThan(240);
});

it('finds the temperature of each rate again', function (float $celsius): void {
    expect(Ripening::temperature(Ripening::factor(Celsius::of($celsius)))->value)->toEqualWithDelta($celsius, 1e-9);
})->with([-1.0, 4.0, 11.999, 12.0, 12.001, 21.0, 42.0]);

it('slows down without a step where the cold slope begins', function (): void {
    $rate = static fn(float $celsius): float => Ripening::factor(Celsius::of($celsius));
    expect($rate(12.0 + 1e-6) / $rate(12.0 - 1e-6))
        ->toEqualWithDelta(1.0, 1e-5)
        ->and($rate(12.0) / $rate(8.0))
        ->toBeGreaterThan($rate(16.0) / $rate(12.0));
});

it('turns sour with time, later with more salt, and never of itself below its end', function (): void {
    $before = 6.0;
    foreach ([0.0, 1.0, 3.0, 7.0, 20.0, 200.0] as $days) {
        $ph = ExpectedAcid::ph($days * DAY, 0.02);
        expect($ph)->toBeLessThanOrEqual($before)->toBeGreaterThanOrEqual(3.5);
        $before = $ph;
    }
    expect(ExpectedAcid::ph(0.0, 0.02))
        ->toBe(6.0)
        ->and(ExpectedAcid::ph(3.0 * DAY, 0.02))
        ->toEqualWithDelta(4.75, 1e-12)
        ->and(ExpectedAcid::ph(5.0 * DAY, 0.05))
        ->toBeGreaterThan(ExpectedAcid::ph(5.0 * DAY, 0.02));
});

it('counts a batch\'s ripening at its own temperature', function (): void {
    $at = fn(float $celsius): float => Kitchen::kraut()
        ->with(Soak::lasting(Seconds::ofDays(10), TemperatureHistory::constant(Celsius::of($celsius))))
        ->state()->ripened;
    expect($at(21))
        ->toEqualWithDelta(10 * DAY, 1e-6)
        ->and($at(31) / $at(21))
        ->toEqualWithDelta(2.25, 1e-9);
    $open = Kitchen::kraut()
        ->with(Soak::fromNowOn(TemperatureHistory::constant(Celsius::of(21))))
        ->asOf(3 * DAY);
    expect($open->state()->ripened)->toEqualWithDelta(3 * DAY, 1e-6);
});

it('adds up a changing temperature from any moment to any other', function (): void {
    $history = TemperatureHistory::ofSpans([
        [3600.0, Celsius::of(10)],
        [7200.0, Celsius::of(20)],
        [3600.0, Celsius::of(30)],
    ]);
    $degrees = fn(Celsius $celsius): float => $celsius->value;
    expect($history->integrate(0.0, 14_400.0, $degrees))
        ->toEqualWithDelta(3600 * 10 + 7200 * 20 + 3600 * 30, 1e-6)
        ->and($history->integrate(1800.0, 5400.0, $degrees))
        ->toEqualWithDelta(1800 * 10 + 1800 * 20, 1e-6)
        // After the last span it stays as it was.
        ->and($history->integrate(14_400.0, 18_000.0, $degrees))
        ->toEqualWithDelta(3600 * 30, 1e-6)
        ->and($history->integrate(5000.0, 5000.0, $degrees))
        ->toBe(0.0)
        ->and($history->integrate(0.0, 6000.0, $degrees) + $history->integrate(6000.0, 20_000.0, $degrees))
        ->toEqualWithDelta($history->integrate(0.0, 20_000.0, $degrees), 1e-6);
});

it('reads temperatures as they are documented', function (): void {
    $read = fn(array $values): TemperatureHistory => TemperatureHistory::read(Fields::of($values, 'step'), 20.0);
    expect($read([])->toArray())
        ->toBe(['celsius' => 20.0])
        ->and($read(['celsius' => 18])->toArray())
        ->toBe(['celsius' => 18.0]);
    $spans = ['temperature' => [['hours' => 24, 'celsius' => 19], ['hours' => 1, 'celsius' => 4]]];
    expect($read($spans)->toArray())->toEqual($spans);
    foreach (
        [
            [['temperature' => []], 'step.temperature'],
            [['temperature' => [['hours' => -1, 'celsius' => 4]]], 'step.temperature[0].hours'],
            [['temperature' => [['hours' => 1]]], 'step.temperature[0].celsius'],
            [['celsius' => -300], 'step.celsius'],
        ]
        as [$values, $path]
    ) {
        expect(fn() => $read($values))->toThrow(fn(InvalidField $refusal) => expect($refusal->path)->toBe($path));
    }
});

it('moves salt faster in the warm and slower in the cold', function (): void {
    $before = 0.0;
    foreach ([-5.0, 4.0, 15.0, 20.0, 30.0, 60.0] as $celsius) {
        $factor = Diffusivity::factor(Celsius::of($celsius));
        expect($factor)->toBeGreaterThan($before);
        $before = $factor;
    }
    expect(Diffusivity::factor(Celsius::of(20)))->toBe(1.0);
});

it('halves and doubles what is not well known of tissues', function (): void {
    foreach (Tissue::cases() as $tissue) {
        $band = $tissue->diffusivity();
        expect($band->high / $band->typical)
            ->toBe(2.0)
            ->and($band->typical / $band->low)
            ->toBe(2.0)
            // Sodium chloride in water at 25 C is 16e-10 m2/s: nothing in a vegetable is faster.
            ->and($band->high)
            ->toBeLessThan(16.0)
            ->and(said($tissue->label()))
            ->not->toBe('');
    }
});
