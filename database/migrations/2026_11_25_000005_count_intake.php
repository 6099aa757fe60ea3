<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('people', function (Blueprint $table): void {
            $table
                ->json('meal_shares')
                ->default('{"morning":25,"noon":35,"evening":40}')
                ->comment('of the rest of the diet, percent');
        });
        Schema::create('other_foods', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('person_id')->constrained('people')->cascadeOnDelete();
            $table->date('eaten_on');
            $table->string('name', 120);
            $table->double('sodium_mg');
            $table->double('instead_mg')->default(0)->comment('of that day\'s estimate, that is no longer counted');
            $table->json('how')->comment('as it was typed: mg, salt, per_100g or per_portion');
            $table->dateTime('undone_at')->nullable();
            $table->ulid('request_key');
            $table->timestamps();
            $table->index(['household_id', 'eaten_on']);
            $table->unique(['household_id', 'request_key']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('other_foods');
        Schema::table('people', function (Blueprint $table): void {
            $table->dropColumn('meal_shares');
        });
    }
};
