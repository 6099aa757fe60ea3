<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * How well someone knows what their other food holds. Nobody has said so yet: it is a rough guess.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('people', static function (Blueprint $table): void {
            $table->string('diet_knowledge', 16)->default('rough')->after('live_goal');
        });
    }

    public function down(): void
    {
        Schema::table('people', static function (Blueprint $table): void {
            $table->dropColumn('diet_knowledge');
        });
    }
};
