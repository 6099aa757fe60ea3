<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('batches', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('jar_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name', 120);
            $table->string('method', 32);
            $table->string('shape', 16);
            $table->string('colour', 7);
            $table->double('density_g_per_ml');
            $table->double('headspace_mm');
            $table->double('weight_ml');
            $table->double('serving_g');
            $table->json('sheet')->comment('what the cook had fixed at the bench, as typed');
            $table->json('strengths')->comment('shares of salt by basis, as made');
            $table->string('place', 16);
            $table->dateTime('started_at');
            $table->ulid('request_key');
            $table->timestamps();
            $table->unique(['household_id', 'request_key']);
        });

        Schema::create('batch_entries', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('batch_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('kind', 24);
            $table->json('entry')->nullable()->comment('null for a reversal');
            $table->foreignUlid('reverses_id')->nullable()->unique()->constrained('batch_entries')->restrictOnDelete();
            $table->dateTime('happened_at');
            $table->timestamps();
            $table->unique(['batch_id', 'position']);
        });

        Schema::create('servings', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('person_id')->constrained('people')->cascadeOnDelete();
            $table->foreignUlid('batch_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('batch_entry_id')->unique()->constrained('batch_entries')->cascadeOnDelete();
            $table->date('eaten_on');
            $table->string('phase', 16);
            $table->double('grams');
            foreach (['low', 'typical', 'high'] as $end) {
                $table->double("sodium_{$end}_mg");
            }
            $table->dateTime('undone_at')->nullable();
            $table->ulid('request_key');
            $table->timestamps();
            $table->unique(['household_id', 'request_key']);
            $table->index(['household_id', 'eaten_on']);
        });
    }

    public function down(): void
    {
        foreach (['servings', 'batch_entries', 'batches'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
