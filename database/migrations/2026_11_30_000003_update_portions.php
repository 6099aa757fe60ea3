<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * A portion that was brought up to date remembers what was booked before, so that it can be put back.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('servings', static function (Blueprint $table): void {
            $table->json('booked_before')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('servings', static function (Blueprint $table): void {
            $table->dropColumn('booked_before');
        });
    }
};
