<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('households', function (Blueprint $table): void {
            $table->char('quiet_from', 5)->default('22:00');
            $table->char('quiet_to', 5)->default('07:30')->comment('the same as from: never quiet');
            $table->string('aim', 8)->default('own')->comment('how far batches are to go: young, middle, long, own');
        });
        Schema::table('batches', function (Blueprint $table): void {
            $table->string('started_in', 16)->default('counter');
            $table->string('aim', 8)->nullable()->comment('null: as the kitchen has it');
            $table
                ->string('likeness', 80)
                ->default('')
                ->comment('batches of one kind have one: a formula, or a method and a food');
            $table->index(['household_id', 'likeness']);
        });
        DB::table('batches')->update([
            'started_in' => DB::raw('place'),
            'likeness' => DB::raw("coalesce(
            (select concat('formula:', formula_id) from formula_versions where formula_versions.id = batches.formula_version_id),
            concat(method, ':', coalesce(json_unquote(json_extract(sheet, '$.vegetableId')), '')))"),
        ]);

        Schema::create('rooms', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->string('place', 16);
            $table->double('usual_celsius');
            $table->double('swing_celsius')->comment('by which the warmest hour is above it and the coolest below');
            $table->unsignedTinyInteger('warmest_hour')->comment('by the kitchen clock');
            $table->timestamps();
            $table->unique(['household_id', 'place']);
        });
        Schema::create('room_readings', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->string('place', 16);
            $table->dateTime('read_at');
            $table->double('celsius');
            $table->string('source', 8)->comment('typed, logger or csv');
            $table->timestamps();
            $table->unique(['household_id', 'place', 'read_at']);
        });
        Schema::create('room_spells', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->string('place', 16);
            $table->date('from_on');
            $table->date('to_on')->comment('that day included');
            $table->double('celsius');
            $table->timestamps();
        });
        Schema::create('chore_marks', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('batch_id')->constrained()->cascadeOnDelete();
            $table->string('task', 16);
            $table->date('due_on');
            $table->dateTime('done_at')->nullable();
            $table->dateTime('snoozed_until')->nullable();
            $table->dateTime('undone_at')->nullable();
            $table->ulid('request_key');
            $table->timestamps();
            $table->index(['household_id', 'request_key']);
        });
        Schema::create('notes', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('batch_id')->constrained()->cascadeOnDelete();
            $table->dateTime('happened_at');
            $table->double('ripened_s')->comment('seconds at 21 degrees Celsius by then');
            $table->json('marks')->comment('salty, sour, crunch, heat, funk, liked: 1 to 5');
            foreach (['smell', 'colour', 'bubbles'] as $seen) {
                $table->string($seen, 24)->nullable();
            }
            $table->double('celsius')->nullable();
            $table->double('ph')->nullable();
            $table->string('text', 2000)->default('');
            $table
                ->string('photo', 64)
                ->nullable()
                ->comment('a file of the application, outside what the web server hands out');
            $table->json('found')->nullable()->comment('signs found in a check');
            $table->string('verdict', 16)->nullable();
            $table->string('because', 2000)->nullable();
            $table->dateTime('removed_at')->nullable();
            $table->ulid('request_key');
            $table->timestamps();
            $table->unique(['household_id', 'request_key']);
        });
        Schema::create('practice_answers', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->string('sign', 24);
            $table->string('answer', 16);
            $table->boolean('is_right');
            $table->ulid('request_key');
            $table->timestamps();
            $table->unique(['household_id', 'request_key']);
        });
        Schema::create('calendar_links', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->text('secret')->comment('encrypted');
            $table->char('secret_hash', 64)->unique();
            $table->dateTime('revoked_at')->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        foreach (
            ['calendar_links', 'practice_answers', 'notes', 'chore_marks', 'room_spells', 'room_readings', 'rooms']
            as $table
        ) {
            Schema::dropIfExists($table);
        }
        Schema::table('batches', function (Blueprint $table): void {
            $table->dropIndex(['household_id', 'likeness']);
            $table->dropColumn(['started_in', 'aim', 'likeness']);
        });
        Schema::table('households', function (Blueprint $table): void {
            $table->dropColumn(['quiet_from', 'quiet_to', 'aim']);
        });
    }
};
