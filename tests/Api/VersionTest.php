<?php

declare(strict_types=1);

use Illuminate\Support\Str;

/*
 * Two windows, one kitchen: what was entered in one is not lost by saving in the other.
 */

beforeEach(function (): void {
    $this->asCook($this->cook());
    $this->kitchen = fn(): array => $this->wholeKitchen();
    $this->ada = fn(): array => ($this->kitchen)()['people'][0];
    $this->save = fn(int $version, array $change) => $this->putJson('/api/people/' . ($this->ada)()['id'], [
        'version' => $version,
        ...$change,
    ]);
});

it('keeps an allergy that another window has entered since', function (): void {
    $open = ($this->ada)()['version'];
    ($this->save)($open, ['allergens' => ['added' => ['milk', 'egg']]])->assertOk();
    $stale = ($this->save)($open, ['name' => 'Adelheid'])->assertJsonValidationErrors(['version']);
    expect($stale->json('errors.version.0'))
        ->toContain('What you typed is kept')
        ->and(($this->ada)())
        ->toMatchArray(['name' => 'Ada', 'allergens' => ['milk', 'egg']]);

    ($this->save)(($this->ada)()['version'], ['name' => 'Adelheid'])->assertOk();
    expect(($this->ada)())->toMatchArray(['name' => 'Adelheid', 'allergens' => ['milk', 'egg']]);

    // One is removed where it was seen, and nothing beside it.
    ($this->save)($open, ['allergens' => ['removed' => ['milk']]])->assertJsonValidationErrors(['version']);
    ($this->save)(($this->ada)()['version'], [
        'allergens' => ['removed' => ['milk'], 'added' => ['fish']],
    ])->assertOk();
    expect(($this->ada)()['allergens'])->toBe(['egg', 'fish']);
});

it('counts a version with each change of anything that is owned, and refuses one that is old', function (
    string $path,
    string $list,
    array $change,
): void {
    $row = collect(($this->kitchen)()[$list])->firstWhere('isOwn', '!==', false) ?? ($this->kitchen)()[$list][0];
    $put = fn(mixed $version) => $this->putJson("/api/{$path}/{$row['id']}", [
        ...$version === null ? [] : ['version' => $version],
        ...$change,
    ]);
    $put(null)->assertJsonValidationErrors(['version']);
    $put('newest')->assertJsonValidationErrors(['version']);
    $put($row['version'])->assertOk();
    $put($row['version'])->assertJsonValidationErrors(['version']);
    $now = collect(($this->kitchen)()[$list])->firstWhere('id', $row['id']);
    expect($now['version'])->toBe($row['version'] + 1);
    // What was not sent stays as it was.
    expect(
        array_diff_key($now, $change, ['version' => 1, 'isEdited' => 1, 'inTable' => 1, 'targetSource' => 1]),
    )->toEqual(array_diff_key($row, $change, ['version' => 1, 'isEdited' => 1, 'inTable' => 1, 'targetSource' => 1]));
})->with([
    'people' => ['people', 'people', ['liveGoal' => 5]],
    'foods' => ['foods', 'ingredients', ['density' => 0.71]],
    'jars' => ['jars', 'jars', ['howMany' => 7]],
]);

it('does the same for rooms and for the household', function (): void {
    $room = $this->getJson('/api/rooms')->json('rooms.0');
    $put = fn(int $version) => $this->putJson("/api/rooms/{$room['place']}", [
        'version' => $version,
        'usualCelsius' => 18.5,
    ]);
    $put($room['version'])->assertOk();
    $put($room['version'])->assertJsonValidationErrors(['version']);
    $now = $this->getJson('/api/rooms')->json('rooms.0');
    expect($now['usualCelsius'])->toEqual(18.5)->and($now['swingCelsius'])->toEqual($room['swingCelsius']);

    $household = ($this->kitchen)();
    $this->putJson('/api/household', [
        'version' => $household['version'],
        'measureBy' => 'spoons',
    ])->assertOk();
    $this->putJson('/api/household', [
        'version' => $household['version'],
        'name' => 'Elsewhere',
    ])->assertJsonValidationErrors(['version']);
    expect(($this->kitchen)())->toMatchArray(['measureBy' => 'spoons', 'name' => $household['name']]);
});

it('keeps what a scale said of a salt when its name is changed in an older window', function (): void {
    $own = collect(
        $this->postJson('/api/salts', [
            'name' => 'Grey salt',
            'gramsPerTablespoon' => 16,
            'sodiumPer100g' => 38000,
            'iodised' => false,
            'antiCaking' => false,
            'potassium' => false,
            'requestKey' => (string) Str::ulid(),
        ])->json('salts'),
    )->firstWhere('name', 'Grey salt');
    $this->putJson("/api/salts/{$own['id']}/calibration", ['grams' => 18.5, 'spoon' => 'tbsp'])->assertOk();
    $now = collect(($this->kitchen)()['salts'])->firstWhere('id', $own['id']);
    $this->putJson("/api/salts/{$own['id']}", [
        'version' => $now['version'],
        'name' => 'Bay salt',
    ])->assertOk();
    $renamed = collect(($this->kitchen)()['salts'])->firstWhere('id', $own['id']);
    expect(array_diff_key($renamed, ['name' => 1, 'version' => 1]))->toEqual(
        array_diff_key($now, ['name' => 1, 'version' => 1]),
    );
});
