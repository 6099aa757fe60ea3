<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Tables and columns under the names of what they hold; what is said in rows has room for a code with its values.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::rename('yardsticks', 'intake_targets');
        Schema::table('servings', function (Blueprint $table): void {
            $table->renameColumn('dish', 'dish_key');
        });
        Schema::table('batches', function (Blueprint $table): void {
            $table->renameColumn('sheet', 'bench_input');
        });
        Schema::table('week_changes', function (Blueprint $table): void {
            $table->string('what', 500)->change();
        });
    }

    public function down(): void
    {
        Schema::table('week_changes', function (Blueprint $table): void {
            $table->string('what', 160)->change();
        });
        Schema::table('batches', function (Blueprint $table): void {
            $table->renameColumn('bench_input', 'sheet');
        });
        Schema::table('servings', function (Blueprint $table): void {
            $table->renameColumn('dish_key', 'dish');
        });
        Schema::rename('intake_targets', 'yardsticks');
    }
};
