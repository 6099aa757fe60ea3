<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Inches and degrees Fahrenheit as a kitchen's own; kitchens that are there stay with what they have seen so far. */
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
    }

    public function down(): void
    {
        Schema::table('households', static function (Blueprint $table): void {
            $table->dropColumn(['uses_inches', 'uses_fahrenheit']);
        });
    }
};
