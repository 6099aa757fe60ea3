<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * A sauce that is blended at the counter goes into its bottles by its last step: into which, and what they are called.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('batch_steps', static function (Blueprint $table): void {
            $table->json('bottling')->nullable()->after('planned');
        });
    }

    public function down(): void
    {
        Schema::table('batch_steps', static function (Blueprint $table): void {
            $table->dropColumn('bottling');
        });
    }
};
