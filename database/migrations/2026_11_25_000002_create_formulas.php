<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('households', function (Blueprint $table): void {
            $table->string('measure_by', 8)->default('grams')->comment('grams or spoons');
            $table->unsignedTinyInteger('week_start')->default(1)->comment('ISO 8601: 1 Monday to 7 Sunday');
        });
        Schema::table('people', function (Blueprint $table): void {
            $table->double('usual_condiment_g')->default(10);
            $table->unsignedTinyInteger('live_goal')->default(1)->comment('live servings a day');
            $table->json('allergens')->default('[]');
            $table->json('dislikes')->default('[]')->comment('keys of ingredients');
            $table->dateTime('removed_at')->nullable();
        });
        Schema::table('ingredients', function (Blueprint $table): void {
            $table->boolean('own')->default(false);
            $table->boolean('edited')->default(false);
            $table->double('label_sodium_mg')->nullable();
            $table->double('label_serving_g')->nullable();
            $table->dateTime('removed_at')->nullable();
        });
        Schema::table('salts', function (Blueprint $table): void {
            $table->boolean('own')->default(false);
            $table->dateTime('removed_at')->nullable();
        });
        Schema::table('jars', function (Blueprint $table): void {
            $table->dateTime('removed_at')->nullable();
        });

        Schema::create('hold_downs', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->double('volume_ml');
            $table->unsignedSmallInteger('how_many');
            $table->timestamps();
        });

        Schema::create('formulas', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->string('key', 60)->nullable()->comment('of the library');
            $table->string('name', 400);
            $table->unsignedInteger('version');
            $table->dateTime('archived_at')->nullable();
            $table->ulid('request_key')->nullable();
            $table->timestamps();
            $table->unique(['household_id', 'key']);
            $table->index(['household_id', 'request_key']);
        });

        Schema::create('formula_versions', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('formula_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->json('document')->comment('docs/formats/formula.md');
            $table->ulid('request_key')->nullable();
            $table->timestamps();
            $table->unique(['formula_id', 'number']);
        });

        Schema::table('batches', function (Blueprint $table): void {
            $table->foreignUlid('formula_version_id')->nullable()->constrained()->nullOnDelete();
            $table->dateTime('emptied_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('batches', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('formula_version_id');
            $table->dropColumn('emptied_at');
        });
        foreach (['formula_versions', 'formulas', 'hold_downs'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('jars', fn(Blueprint $table) => $table->dropColumn('removed_at'));
        Schema::table('salts', fn(Blueprint $table) => $table->dropColumn(['own', 'removed_at']));
        Schema::table(
            'ingredients',
            fn(Blueprint $table) => $table->dropColumn([
                'own',
                'edited',
                'label_sodium_mg',
                'label_serving_g',
                'removed_at',
            ]),
        );
        Schema::table(
            'people',
            fn(Blueprint $table) => $table->dropColumn([
                'usual_condiment_g',
                'live_goal',
                'allergens',
                'dislikes',
                'removed_at',
            ]),
        );
        Schema::table('households', fn(Blueprint $table) => $table->dropColumn(['measure_by', 'week_start']));
    }
};
