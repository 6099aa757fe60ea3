<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\HouseholdTransaction;
use App\Models\Batch;
use App\Models\Ingredient;
use App\Support\WhenDone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Heat;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Produce\Ingredient as Produce;

/**
 * Puts a jar from a shop on the shelf. Its ledger begins with what the label says; what was heated, or stood warm in
 * the shop, is not live.
 */
final readonly class AddBoughtJar
{
    public function __construct(private LedgerWriter $ledger, private HouseholdTransaction $transaction) {}

    /**
     * @param  Produce  $produce  with the label's sodium and allergens
     * @param  Ingredient  $food  whose colour and density it is drawn with
     * @param  string|null  $useBy  the last day that is printed on it, YYYY-MM-DD
     * @param  string  $requestKey  the same key never shelves a second jar
     */
    public function __invoke(
        Produce $produce,
        Ingredient $food,
        Grams $grams,
        Grams $serving,
        Phase $phase,
        bool $isLive,
        Place $place,
        ?string $useBy,
        string $requestKey,
    ): Batch {
        return ($this->transaction)(function () use (
            $produce,
            $food,
            $grams,
            $serving,
            $phase,
            $isLive,
            $place,
            $useBy,
            $requestKey,
        ): Batch {
            $there = Batch::query()->where('request_key', $requestKey)->first();
            if ($there !== null) {
                return $there;
            }
            $now = WhenDone::now();
            $batch = Batch::create([
                'jar_id' => null,
                'name' => $produce->name,
                'method' => Method::Bought,
                'shape' => $produce->shape,
                'colour' => $food->colour,
                'density_g_per_ml' => $produce->density,
                'headspace_mm' => Method::Bought->profile()->storage->headspace->value,
                'weight_ml' => 0.0,
                'serving_g' => $serving->value,
                'bench_input' => ['grams' => $grams->value],
                'strengths' => [],
                'place' => $place,
                'started_in' => $place,
                'likeness' => mb_substr('bought:' . Str::slug($produce->name), 0, 120),
                'started_at' => $now,
                'use_by' => $useBy,
                'request_key' => $requestKey,
            ])->load(['entries', 'jar']);
            $this->ledger->append($batch, $now, new Add($produce, Band::exact($grams->value), $phase));
            if (!$isLive) {
                $this->ledger->append($batch, $now, new Heat());
            }
            $this->ledger->check($batch);

            return $batch;
        });
    }
}
