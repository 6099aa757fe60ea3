<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('yardsticks', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('person_id')->constrained('people')->cascadeOnDelete();
            $table->date('since');
            $table->unsignedInteger('target_sodium_mg');
            $table->string('target_source', 160);
            $table->json('rest')->comment('milligrams by ISO weekday and meal');
            $table->timestamps();
            $table->unique(['person_id', 'since']);
        });
        $this->takeOver();
        Schema::table('people', function (Blueprint $table): void {
            $table->dropColumn(['target_sodium_mg', 'target_source', 'meal_shares']);
        });
        Schema::drop('rest_of_diet');
        Schema::table('other_foods', function (Blueprint $table): void {
            $table->dropColumn('instead_mg');
        });
        Schema::table('servings', function (Blueprint $table): void {
            $table->ulid('dish')->nullable()->comment('shares of one dish name the same');
            $table->double('dish_g')->nullable()->comment('of the jar in the whole dish');
            $table->index(['household_id', 'dish']);
            $table->boolean('is_live')->default(true)->comment('at the moment at which it was eaten');
        });
        $this->tellLive();
    }

    public function down(): void
    {
        Schema::table('servings', function (Blueprint $table): void {
            $table->dropIndex(['household_id', 'dish']);
            $table->dropColumn(['dish', 'dish_g', 'is_live']);
        });
        Schema::table('other_foods', function (Blueprint $table): void {
            $table->double('instead_mg')->default(0);
            $table->dropColumn('instead_of');
        });
        Schema::create('rest_of_diet', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('person_id')->constrained('people')->cascadeOnDelete();
            $table->unsignedTinyInteger('weekday');
            $table->unsignedInteger('sodium_mg');
            $table->timestamps();
            $table->unique(['person_id', 'weekday']);
        });
        Schema::table('people', function (Blueprint $table): void {
            $table->unsignedInteger('target_sodium_mg')->default(2000);
            $table->string('target_source', 160)->default('');
            $table->json('meal_shares')->default('{"morning":25,"noon":35,"evening":40}');
        });
        Schema::drop('yardsticks');
    }

    /** What was one figure a person becomes the first of theirs; an estimate of a day is shared out over its meals. */
    private function takeOver(): void
    {
        Schema::table('other_foods', function (Blueprint $table): void {
            $table->json('instead_of')->default('[]')->comment('meals whose estimate is not counted that day');
        });
        foreach (DB::table('people')->get() as $person) {
            /** @var array<int, int> $sums */
            $sums = DB::table('rest_of_diet')->where('person_id', $person->id)->pluck('sodium_mg', 'weekday')->all();
            /** @var array<string, int|float> $shares */
            $shares = json_decode((string) $person->meal_shares, true);
            $rest = self::sharedOut($sums, array_map(floatval(...), $shares));
            DB::table('yardsticks')->insert([
                'id' => (string) Str::ulid(),
                'household_id' => $person->household_id,
                'person_id' => $person->id,
                'since' => '2000-01-01',
                'target_sodium_mg' => $person->target_sodium_mg,
                'target_source' => $person->target_source,
                'rest' => json_encode($rest),
                'created_at' => $person->created_at,
                'updated_at' => $person->updated_at,
            ]);
            foreach (
                DB::table('other_foods')->where('person_id', $person->id)->where('instead_mg', '>', 0)->get()
                as $food
            ) {
                DB::table('other_foods')
                    ->where('id', $food->id)
                    ->update([
                        'instead_of' => json_encode(
                            self::meals(
                                $rest[(int) date('N', (int) strtotime($food->eaten_on))],
                                (float) $food->instead_mg,
                            ),
                        ),
                    ]);
            }
        }
    }

    /** What never was a ferment, or was heated before, was not live. */
    private function tellLive(): void
    {
        DB::table('servings')
            ->whereIn('batch_id', DB::table('batches')->where('method', 'quick_salt_pickle')->select('id'))
            ->update(['is_live' => false]);
        $taken = DB::table('batch_entries')->whereNotNull('reverses_id')->select('reverses_id');
        foreach (DB::table('batch_entries')->where('kind', 'heat')->whereNotIn('id', $taken)->get() as $heat) {
            DB::table('servings')
                ->where('batch_id', $heat->batch_id)
                ->whereIn(
                    'batch_entry_id',
                    DB::table('batch_entries')
                        ->where('batch_id', $heat->batch_id)
                        ->where('happened_at', '>=', $heat->happened_at)
                        ->select('id'),
                )
                ->update(['is_live' => false]);
        }
    }

    /**
     * Days of which only the sum is known, by meal; every sum stays what it was.
     *
     * @param  array<int, int>  $sums  milligrams by ISO weekday
     * @param  array<string, float>  $shares  of each meal
     * @return array<int, array<string, int>>
     */
    private static function sharedOut(array $sums, array $shares): array
    {
        $all = array_sum($shares);
        $milligrams = [];
        for ($weekday = 1; $weekday <= 7; $weekday++) {
            $sum = $sums[$weekday] ?? 0;
            $before = $part = 0.0;
            foreach (['morning', 'noon', 'evening'] as $meal) {
                $part += $all > 0.0 ? ($shares[$meal] ?? 0.0) / $all : 1.0 / 3.0;
                $milligrams[$weekday][$meal] = (int) (round($sum * $part) - $before);
                $before = round($sum * $part);
            }
        }

        return $milligrams;
    }

    /**
     * @param  array<string, int>  $rest  of a day by meal
     * @return list<string> the meal, or all of them, that comes nearest
     */
    private static function meals(array $rest, float $milligrams): array
    {
        $best = array_keys($rest);
        $miss = abs(array_sum($rest) - $milligrams);
        foreach ($rest as $meal => $sodium) {
            if (abs($sodium - $milligrams) < $miss) {
                [$best, $miss] = [[$meal], abs($sodium - $milligrams)];
            }
        }

        return $best;
    }
};
