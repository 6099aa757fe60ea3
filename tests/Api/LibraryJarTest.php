<?php

declare(strict_types=1);

use App\Models\Formula;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Tempesal\Core\Method\Method;

/*
 * A formula and the jar that is made from it say the same: for how long it keeps, whether it is live, how it is salted and
 * whether that is enough, what it is careful about, which allergens it has, how much there is of it, and the sodium of a
 * serving.
 */

dataset(
    'library',
    static fn(): array => array_map(
        static fn(string $file): string => basename($file, '.json'),
        glob(__DIR__ . '/../../database/data/formulas/*.json') ?: [],
    ),
);

beforeEach(function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-12-01T10:00:00Z'));
    $this->asCook($this->cook());
    $this->begin = fn(string $id, string $place) => $this->postJson("/api/formulas/{$id}/batches", [
        'by' => 'as_written',
        'intoJarId' => null,
        'hasOneMore' => true,
        'name' => 'From the library',
        'place' => $place,
        'startedOn' => null,
        'plannedBatchId' => null,
        'begin' => 'packed',
        'requestKey' => (string) Str::ulid(),
    ])->assertCreated();
});

it('says of a jar what its formula says', function (string $key): void {
    $id = Formula::query()->where('key', $key)->sole()->id;
    $formula = $this->getJson("/api/formulas/{$id}")->json();
    $jar = ($this->begin)($id, 'counter')->json();
    $page = fn() => $this->getJson("/api/batches/{$jar['id']}")->json();

    $codes = static fn(array $advice): array => collect($advice)
        ->pluck('code')
        // What a room is like says nothing of a formula.
        ->reject(static fn(string $code): bool => in_array($code, ['too_warm', 'too_cold'], true))
        ->sort()
        ->values()
        ->all();
    expect($codes($page()['advice']))
        ->toBe($codes($formula['advice']))
        ->and(collect($page()['allergens'])->sort()->values()->all())
        ->toBe(collect($formula['allergens'])->sort()->values()->all())
        ->and($page()['gramsLeft'])
        ->toEqualWithDelta($formula['makesGrams'], 0.06 * $formula['makesGrams'])
        ->and($page()['servingGrams'])
        ->toEqualWithDelta($formula['serving']['grams'], 1e-9);
    if ($formula['strength']['percent'] !== null && $formula['strength']['floorPercent'] > 0) {
        expect($formula['strength']['percent'])->toBeGreaterThanOrEqual($formula['strength']['floorPercent'] * 0.995);
    }
    $meant = $page()['meant']['sodium']['typical'] ?? null;
    if ($meant !== null) {
        expect($meant)->toEqualWithDelta(
            $formula['serving']['sodium']['typical'],
            max(2.0, 0.12 * $formula['serving']['sodium']['typical']),
        );
    }

    // Nothing raw is a ferment from its first hour; strained yogurt and what was blended from a ferment are.
    if ($formula['window']['youngDays'] > 0 && $formula['method'] !== Method::Transform->value) {
        expect($jar['isLive'])->toBeFalse();
    }
    $ready = $page()['window']['readyOn'] ?? null;
    if ($ready !== null) {
        $this->travelTo(CarbonImmutable::parse($ready)->addHours(36));
    }
    expect($page()['isLive'])->toBe($formula['isLive']);

    // Into the fridge, and to the last day but one of what both say: nothing calls it past its time.
    $this->putJson("/api/batches/{$jar['id']}/place", ['place' => 'fridge', 'requestKey' => (string) Str::ulid()]);
    $shelf = fn() => collect($this->getJson('/api/batches')->json('batches'))->firstWhere('id', $jar['id']);
    $left = $formula['keeping']['days'];
    if ($formula['keeping']['days'] > 7) {
        foreach ([0.2, 0.5, 0.9] as $share) {
            $this->travelTo(
                CarbonImmutable::parse($ready ?? '2026-12-01')
                    ->addHours(36)
                    ->addDays((int) floor($left * $share)),
            );
            expect($shelf()['attention']['code'] ?? null)->not->toBe('long', "{$key} after {$share} of {$left} days");
        }
        $this->travelTo(
            CarbonImmutable::parse($ready ?? '2026-12-01')
                ->addHours(36)
                ->addDays($left + 2),
        );
        if ($ready !== null) {
            expect($shelf()['attention']['code'])->toBe('long');
        }
    }
})->with('library');
