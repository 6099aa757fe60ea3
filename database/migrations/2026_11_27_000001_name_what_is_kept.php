<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Tables and columns under the names of what they hold; a change of a week as a code with values instead of a sentence.
 */
return new class extends Migration
{
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
            $table->string('what', 160)->nullable()->comment('in words, where it was written before there were codes')->change();
            $table->string('code', 40)->nullable()->comment('added, removed, moved, filled, rest_filled, cleared, copied');
            $table->json('details')->nullable()->comment('names and day of the serving that was changed');
        });
    }

    public function down(): void
    {
        Schema::table('week_changes', function (Blueprint $table): void {
            $table->dropColumn(['code', 'details']);
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
