<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('households', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name', 80);
            $table->string('time_zone', 64);
            $table->string('spoon_system', 16);
            $table->boolean('is_demo')->default(false);
            $table->timestamps();
        });

        Schema::create('users', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->string('email', 190)->unique();
            $table->string('password');
            $table->rememberToken();
            $table->timestamps();
        });

        Schema::create('people', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60);
            $table->unsignedSmallInteger('position');
            $table->unsignedInteger('target_sodium_mg');
            $table->string('target_source', 160);
            $table->double('usual_serving_g');
            $table->timestamps();
        });

        Schema::create('rest_of_diet', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('person_id')->constrained('people')->cascadeOnDelete();
            $table->unsignedTinyInteger('weekday')->comment('ISO 8601: 1 Monday to 7 Sunday');
            $table->unsignedInteger('sodium_mg');
            $table->timestamps();
            $table->unique(['person_id', 'weekday']);
        });
    }

    public function down(): void
    {
        foreach (['rest_of_diet', 'people', 'users', 'households'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
