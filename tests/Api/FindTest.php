<?php

declare(strict_types=1);

use Illuminate\Support\Carbon;

it('finds days, jars on the shelf and emptied ones, and formulas, of this kitchen only', function (): void {
    $this->travelTo(Carbon::parse('2026-11-25 12:00:00'));
    $this->asCook($this->cook('other@example.org'));
    $this->startJar(['name' => 'Friday pickles']);
    $this->asCook($this->cook());
    $sticks = $this->startJar(['name' => 'Friday sticks'])->json('id');
    $old = $this->startJar(['name' => 'Old sticks'])->json('id');
    $this->putJson("/api/batches/{$old}/emptied", ['isEmptied' => true])->assertOk();
    $find = fn(string $asked): array => $this->getJson('/api/find?q=' . urlencode($asked))
        ->assertOk()
        ->json('hits');
    $hits = fn(string $asked): array => array_map(
        fn(array $hit): string => "{$hit['kind']} {$hit['name']}",
        $find($asked),
    );
    expect($hits('friday'))->toBe(['day 2026-11-27', 'day 2026-11-20', 'jar Friday sticks']);
    expect($find('fridey stiks')[0])->toMatchArray(['id' => $sticks, 'detail' => 'started 25 Nov 2026']);
    expect(collect($find('sticks'))->firstWhere('id', $old)['detail'])->toBe('emptied 25 Nov 2026');
    expect($hits('plain kraut')[0])->toBe('formula Plain kraut');
    expect($hits(''))->toBe([])->and($hits(str_repeat('x', 500)))->toBe([]);
});
