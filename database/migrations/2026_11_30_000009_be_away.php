<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Days on which someone does not eat here: nothing is planned for them.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('people', static function (Blueprint $table): void {
            $table->json('away')->default('[]')->after('tolerances')->comment('first and last days, YYYY-MM-DD');
        });
    }

    public function down(): void
    {
        Schema::table('people', static function (Blueprint $table): void {
            $table->dropColumn('away');
        });
    }
};
