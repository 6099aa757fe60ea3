<?php

declare(strict_types=1);

use App\Models\Formula;
use App\Models\FormulaVersion;
use App\Models\Ingredient;
use App\Pantry\FormulaLibrary;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/*
| A later release in a kitchen that is already there: what is new comes in, what was corrected is a new version, and what
| a cook changed stays.
*/

beforeEach(function (): void {
    $this->freezeSecond();
    $this->asCook($this->cook());
    $this->formula = fn(string $key): Formula => Formula::query()->where('key', $key)->sole();
    /** The library's first text of a formula as another release had it. */
    $this->before = function (string $key, array $change): void {
        $version = ($this->formula)($key)->newest;
        DB::table('formula_versions')
            ->where('id', $version->id)
            ->update(['document' => json_encode([...$version->document, ...$change])]);
    };
    $this->forget = function (string $key): void {
        $id = ($this->formula)($key)->id;
        DB::table('formula_versions')->where('formula_id', $id)->delete();
        DB::table('formulas')->where('id', $id)->delete();
    };
    $this->restock = fn() => $this->artisan('tempesal:restock')->assertSuccessful();
});

it('changes nothing where nothing is new', function (): void {
    $all = fn(): array => [
        DB::table('formulas')->get(),
        DB::table('formula_versions')->get(),
        DB::table('ingredients')->get(),
    ];
    $before = json_encode($all());
    ($this->restock)();
    expect(json_encode($all()))->toBe($before);
});

it('adds new foods and formulas and corrects others in one go', function (): void {
    ($this->forget)('beet-kvass');
    ($this->before)('plain-kraut', ['name' => 'Kraut, plain', 'summary' => 'As it was before.']);
    DB::table('ingredients')->where('key', 'kale')->delete();
    ($this->restock)();

    expect(($this->formula)('beet-kvass')->newest->document)
        ->toEqual(FormulaLibrary::document('beet-kvass'))
        ->and(($this->formula)('beet-kvass')->newest->note)
        ->toBeNull()
        ->and(Ingredient::query()->where('key', 'kale')->count())
        ->toBe(1);
    $kraut = ($this->formula)('plain-kraut');
    expect($kraut->name)
        ->toBe('Plain kraut')
        ->and($kraut->version)
        ->toBe(2)
        ->and($kraut->versions->pluck('document.summary')->all())
        ->toBe(['As it was before.', FormulaLibrary::document('plain-kraut')['summary']])
        ->and($kraut->newest->isOfLibrary())
        ->toBeTrue();
    $this->getJson("/api/formulas/{$kraut->id}")
        ->assertOk()
        ->assertJsonPath('versions.1.note', 'Its text in the library was corrected.');
});

it('leaves a formula that the cook changed, and tells that the library has another', function (): void {
    $kraut = ($this->formula)('plain-kraut');
    $mine = [...array_diff_key($kraut->newest->document, ['key' => '']), 'summary' => 'The way we make it.'];
    $this->putJson("/api/formulas/{$kraut->id}", [
        'document' => $mine,
        'basedOn' => 1,
        'requestKey' => (string) Str::ulid(),
    ])->assertOk();
    ($this->restock)();
    expect(FormulaVersion::query()->where('formula_id', $kraut->id)->count())
        ->toBe(2)
        ->and(($this->formula)('plain-kraut')->newest->document['summary'])
        ->toBe('The way we make it.');
});

it('stocks every kitchen, each with rows of its own', function (): void {
    $mine = Formula::query()->pluck('id');
    ($this->forget)('beet-kvass');
    $this->asCook($this->cook('other@example.org'));
    ($this->forget)('beet-kvass');
    ($this->restock)();
    expect(Formula::query()->where('key', 'beet-kvass')->count())
        ->toBe(1)
        ->and(DB::table('formulas')->where('key', 'beet-kvass')->count())
        ->toBe(2)
        ->and(Formula::query()->whereIn('id', $mine)->count())
        ->toBe(0);
});
