<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * A portion can have been cooked; nothing in it is live then. What was eaten before counts as it did.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('servings', static function (Blueprint $table): void {
            $table->boolean('is_cooked')->default(false)->after('is_live');
        });
    }

    public function down(): void
    {
        Schema::table('servings', static function (Blueprint $table): void {
            $table->dropColumn('is_cooked');
        });
    }
};
