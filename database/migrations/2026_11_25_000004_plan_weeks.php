<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('households', function (Blueprint $table): void {
            $table
                ->json('planning')
                ->default('{}')
                ->comment('servings a day at most, something new each week, weights of the planner');
        });
        Schema::table('people', function (Blueprint $table): void {
            $table->boolean('limit_is_hard')->default(false)->comment('whether a plan may never pass the target');
        });
        Schema::create('week_changes', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->date('week_on')->comment('the first day of the week that was changed');
            $table->unsignedInteger('number');
            $table->string('what', 160);
            $table->dateTime('undone_at')->nullable();
            $table->ulid('request_key');
            $table->timestamps();
            $table->unique(['household_id', 'week_on', 'number']);
            $table->unique(['household_id', 'request_key']);
        });
        Schema::create('planned_servings', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('person_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('batch_id')->constrained()->cascadeOnDelete();
            $table->date('planned_on');
            $table->double('grams');
            $table->string('way', 16);
            $table->boolean('is_locked')->default(false);
            $table->foreignUlid('added_by')->constrained('week_changes')->cascadeOnDelete();
            $table->foreignUlid('removed_by')->nullable()->constrained('week_changes')->nullOnDelete();
            $table->timestamps();
            $table->index(['household_id', 'planned_on']);
        });
        Schema::table('servings', function (Blueprint $table): void {
            $table->foreignUlid('planned_serving_id')->nullable()->constrained()->nullOnDelete();
        });
        Schema::create('rotation_lines', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('position');
            $table->string('name', 120);
            $table->foreignUlid('formula_id')->nullable()->constrained()->nullOnDelete();
            $table->json('likenesses')->comment('of the batches that count as it');
            $table->json('weekdays')->comment('ISO 8601; empty: on any day');
            $table->double('times_a_week')->comment('servings of each eater');
            $table->json('months')->comment('1 to 12 in which it is made; empty: all year');
            $table->timestamps();
        });
        Schema::create('planned_batches', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('formula_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('rotation_line_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignUlid('jar_id')->constrained()->cascadeOnDelete();
            $table->date('start_on');
            $table->double('share')->comment('of what the jar holds');
            $table->foreignUlid('batch_id')->nullable()->comment('what it became')->constrained()->nullOnDelete();
            $table->dateTime('removed_at')->nullable();
            $table->ulid('request_key');
            $table->timestamps();
            $table->unique(['household_id', 'request_key']);
        });
    }

    public function down(): void
    {
        foreach (['planned_batches', 'rotation_lines'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('servings', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('planned_serving_id');
        });
        foreach (['planned_servings', 'week_changes'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('people', function (Blueprint $table): void {
            $table->dropColumn('limit_is_hard');
        });
        Schema::table('households', function (Blueprint $table): void {
            $table->dropColumn('planning');
        });
    }
};
