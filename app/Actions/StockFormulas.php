<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Formula;
use App\Models\FormulaVersion;
use App\Pantry\FormulaLibrary;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Gives the current household the formulas of the library that it does not have yet.
 */
final readonly class StockFormulas
{
    public function __invoke(): void
    {
        DB::transaction(static function (): void {
            $there = Formula::query()->get()->pluck('key')->filter()->all();
            $formulas = $versions = [];
            foreach (FormulaLibrary::documents() as $document) {
                if (! in_array($document['key'], $there, true)) {
                    $formulas[] = ['id' => $id = (string) Str::ulid(), 'key' => $document['key'], 'name' => $document['name'], 'version' => 1];
                    $versions[] = ['formula_id' => $id, 'number' => 1, 'document' => $document];
                }
            }
            Formula::createMany($formulas);
            FormulaVersion::createMany($versions);
        });
    }
}
