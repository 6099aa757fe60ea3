<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Inches and degrees Fahrenheit as a kitchen's own, forks and spoons that were weighed, and what lies on and in
 * a jar. Kitchens that are there stay with
 * the units that they have seen so far.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('households', static function (Blueprint $table): void {
            $table->boolean('uses_inches')->default(false)->after('spoon_system');
            $table->boolean('uses_fahrenheit')->default(false)->after('uses_inches');
        });
        Schema::table('ingredients', static function (Blueprint $table): void {
            $table->string('also', 400)->default('')->change();
        });
        Schema::table('batches', static function (Blueprint $table): void {
            $table->string('cover', 16)->nullable()->after('weight_ml');
            $table->string('hold_down', 80)->nullable()->after('cover');
            $table->boolean('has_saucer')->default(false)->after('hold_down');
        });
        Schema::create('weighed_measures', static function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('person_id')->nullable()->constrained('people')->cascadeOnDelete();
            $table->string('what', 16);
            $table->string('family', 16);
            $table->double('grams');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('weighed_measures');
        Schema::table('batches', static function (Blueprint $table): void {
            $table->dropColumn(['cover', 'hold_down', 'has_saucer']);
        });
        Schema::table('households', static function (Blueprint $table): void {
            $table->dropColumn(['uses_inches', 'uses_fahrenheit']);
        });
    }
};
