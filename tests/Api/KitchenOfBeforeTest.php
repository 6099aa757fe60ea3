<?php

declare(strict_types=1);

use App\Ledger\Ledgers;
use App\Backup\ImportKitchen;
use App\Intake\Intakes;
use App\Models\Batch;
use App\Models\Person;
use App\Models\Serving;
use Carbon\CarbonImmutable;
use Tempesal\Core\Ledger\Phase;

/*
 * Kitchens that earlier versions exported: tests/fixtures/kitchen-N.json is a demo kitchen as version N of the file
 * wrote it, kitchen-N.figures.json what that version computed for it at the moment named there. Neither is ever
 * written again.
 */

/** @return array<string, mixed> */
function fixture(string $name): array
{
    return json_decode(
        (string) file_get_contents(dirname(__DIR__) . "/fixtures/{$name}.json"),
        true,
        512,
        JSON_THROW_ON_ERROR,
    );
}

it('comes in from any version before, every figure as it was', function (int $version): void {
    $figures = fixture("kitchen-{$version}.figures");
    $this->travelTo(CarbonImmutable::parse($figures['at']));
    $this->asCook($this->cook());
    $json = (string) file_get_contents(dirname(__DIR__) . "/fixtures/kitchen-{$version}.json");
    $counts = app(ImportKitchen::class)($json);
    expect($counts['batches'])->toBe(count($figures['batches']));

    $batches = Batch::whole()->orderBy('id')->get();
    foreach (array_values($figures['batches']) as $i => $then) {
        $state = Ledgers::of($batches[$i], CarbonImmutable::now())->state();
        expect($batches[$i]->name)->toBe($then['name']);
        foreach (Phase::cases() as $phase) {
            foreach ($then['phases'][$phase->value] as $part => $amount) {
                expect($state->phase($phase)->toArray()[$part])->toEqualWithDelta($amount, 1e-6, $then['name']);
            }
        }
        foreach ($then['whereaboutsMg'] as $place => $milligrams) {
            expect($state->whereabouts()[$place])->toEqualWithDelta($milligrams, 1e-6, $then['name']);
        }
    }

    $people = Person::atTable();
    foreach (array_values($figures['people']) as $i => $then) {
        $days = Intakes::of($people[$i], $figures['from'], $figures['to'])->days ?? [];
        expect($people[$i]->name)->toBe($then['name'])->and(count($days))->toBe(count($then['days']));
        foreach ($then['days'] as $day => [$target, $total]) {
            expect($days[$day]->targetMg)
                ->toBe($target)
                ->and($days[$day]->totalMg())
                ->toEqualWithDelta($total, 1e-6, $then['name']);
        }
    }

    $servings = Serving::query()->orderBy('id')->get();
    foreach (array_values($figures['servings']) as $i => $then) {
        $band = $servings[$i]->sodium();
        foreach ([$band->low, $band->typical, $band->high] as $part => $milligrams) {
            expect($milligrams)->toEqualWithDelta($then[$part], 1e-6);
        }
    }
})->with([1, 3]);
