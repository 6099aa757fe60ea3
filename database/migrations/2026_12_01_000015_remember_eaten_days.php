<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What someone ate from the jars on a day, so that a year is read as its days and not as its servings. It can be thrown away at
 * any time, and is in no export. The first and the last of what someone ate are found without reading what lies between.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('eaten_days', function (Blueprint $table): void {
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('person_id')->constrained('people')->cascadeOnDelete();
            $table->date('eaten_on');
            $table->unsignedInteger('version');
            $table->mediumText('portions')->charset('ascii')->collation('ascii_bin')->nullable();
            $table->primary(['household_id', 'person_id', 'eaten_on']);
        });
        foreach (['servings', 'other_foods'] as $eaten) {
            Schema::table(
                $eaten,
                fn(Blueprint $table) => $table->index(['household_id', 'person_id', 'undone_at', 'eaten_on']),
            );
        }
        Schema::table(
            'servings',
            fn(Blueprint $table) => $table->index(
                ['household_id', 'person_id', 'is_live', 'undone_at', 'batch_id', 'eaten_on'],
                'servings_of_each_batch_index',
            ),
        );
        // When each chore of a jar was done last is found in the index alone.
        Schema::table(
            'chore_marks',
            fn(Blueprint $table) => $table->index(
                ['household_id', 'batch_id', 'undone_at', 'task', 'done_at', 'created_at', 'snoozed_until'],
                'chore_marks_of_each_task_index',
            ),
        );
    }

    public function down(): void
    {
        Schema::table('chore_marks', fn(Blueprint $table) => $table->dropIndex('chore_marks_of_each_task_index'));
        Schema::table('servings', fn(Blueprint $table) => $table->dropIndex('servings_of_each_batch_index'));
        foreach (['servings', 'other_foods'] as $eaten) {
            Schema::table(
                $eaten,
                fn(Blueprint $table) => $table->dropIndex(['household_id', 'person_id', 'undone_at', 'eaten_on']),
            );
        }
        Schema::dropIfExists('eaten_days');
    }
};
