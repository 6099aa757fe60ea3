<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Eaters who are planned with the upper end of what a jar may bring, and guests, who eat here on some days alone.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('people', static function (Blueprint $table): void {
            $table
                ->boolean('is_careful')
                ->default(false)
                ->after('limit_is_hard')
                ->comment('planned with the upper end of what jars bring');
            $table
                ->json('stays')
                ->default('[]')
                ->after('away')
                ->comment('of a guest: first and last days, YYYY-MM-DD; empty: lives here');
        });
    }

    public function down(): void
    {
        Schema::table('people', static function (Blueprint $table): void {
            $table->dropColumn(['is_careful', 'stays']);
        });
    }
};
