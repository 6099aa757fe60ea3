<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Foods know their potassium, where a table says it.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('ingredients', static function (Blueprint $table): void {
            $table->double('potassium_mg_per_100g')->nullable()->after('sodium_high_mg_per_100g');
        });
    }

    public function down(): void
    {
        Schema::table('ingredients', static function (Blueprint $table): void {
            $table->dropColumn('potassium_mg_per_100g');
        });
    }
};
