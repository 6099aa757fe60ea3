<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Schema;

/**
 * A jar is made step by step: what has not been done is due, and is not in the ledger. What was written ahead into
 * ledgers of before becomes due steps.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('batch_steps', static function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('batch_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('kind', 16);
            $table->json('planned');
            $table->dateTime('due_at');
            $table->dateTime('done_at')->nullable();
            $table->dateTime('skipped_at')->nullable();
            $table->ulid('request_key')->nullable();
            $table->timestamps();
            $table->unique(['batch_id', 'position']);
        });
        Schema::table('batch_entries', static function (Blueprint $table): void {
            $table
                ->foreignUlid('batch_step_id')
                ->nullable()
                ->after('batch_id')
                ->constrained('batch_steps')
                ->nullOnDelete();
        });
        // What the lines mean is known to the application alone.
        Artisan::call('tempesal:steps-of-before');
    }

    public function down(): void
    {
        Schema::table('batch_entries', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('batch_step_id');
        });
        Schema::dropIfExists('batch_steps');
    }
};
