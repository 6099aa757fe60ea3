<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Formula;
use App\Models\FormulaVersion;
use App\Pantry\FormulaLibrary;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Gives the current household the formulas of the library that it does not have yet, and the library's corrections of
 * those that its cook never edited, as a new version with a note. An edited one is left alone.
 */
final readonly class SeedFormulas
{
    private const CORRECTED = '@formula.library_corrected';

    public function __invoke(): void
    {
        DB::transaction(static function (): void {
            $there = Formula::query()->with('newest')->whereNotNull('key')->get()->keyBy('key');
            $formulas = $versions = [];
            foreach (FormulaLibrary::documents() as $document) {
                $known = $there->firstWhere('key', $document['key']);
                if ($known === null) {
                    $formulas[] = [
                        'id' => ($id = (string) Str::ulid()),
                        'key' => $document['key'],
                        'name' => $document['name'],
                        'version' => 1,
                    ];
                    $versions[] = ['formula_id' => $id, 'number' => 1, 'document' => $document, 'note' => null];
                } elseif ($known->newest->isOfLibrary() && $known->newest->document != $document) {
                    $known->update(['name' => $document['name'], 'version' => $known->version + 1]);
                    $versions[] = [
                        'formula_id' => $known->id,
                        'number' => $known->version,
                        'document' => $document,
                        'note' => self::CORRECTED,
                    ];
                }
            }
            Formula::createMany($formulas);
            FormulaVersion::createMany($versions);
        });
    }
}
