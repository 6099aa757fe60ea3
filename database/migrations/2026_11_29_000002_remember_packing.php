<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * How densely a food went into its jar, where the cook's eyes said so.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('batches', static function (Blueprint $table): void {
            $table->double('packed')->nullable()->after('has_saucer');
        });
    }

    public function down(): void
    {
        Schema::table('batches', static function (Blueprint $table): void {
            $table->dropColumn('packed');
        });
    }
};
