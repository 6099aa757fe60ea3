<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('planned_servings', function (Blueprint $table): void {
            $table->ulid('batch_id')->nullable()->change();
            $table
                ->foreignUlid('planned_batch_id')
                ->nullable()
                ->after('batch_id')
                ->comment('what it is of until that is started')
                ->constrained()
                ->cascadeOnDelete();
        });
    }

    public function down(): void
    {
        DB::table('planned_servings')->whereNull('batch_id')->delete();
        Schema::table('planned_servings', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('planned_batch_id');
            $table->ulid('batch_id')->nullable(false)->change();
        });
    }
};
