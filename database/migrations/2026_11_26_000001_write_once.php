<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    private const VERSIONED = ['households', 'people', 'salts', 'ingredients', 'jars', 'hold_downs', 'rooms'];

    public function up(): void
    {
        foreach (self::VERSIONED as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->unsignedInteger('version')->default(1)->comment('counts its changes');
            });
        }
        Schema::table('ingredients', function (Blueprint $table): void {
            $table->json('traits')->nullable()->comment('liquid, oil, low_acid_plant, sweet; null: its name tells');
        });
        Schema::table('notes', function (Blueprint $table): void {
            $table->string('ph_by', 8)->nullable()->comment('meter or strips');
            $table->double('ph_margin')->nullable()->comment('how far the meter can be off, in pH');
        });
        Schema::table('formula_versions', function (Blueprint $table): void {
            $table->string('note', 200)->nullable()->comment('why it was written, where the library wrote it');
        });
        Schema::create('answered_requests', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->char('key', 26);
            $table->string('operation', 160)->comment('method and path');
            $table->char('digest', 64)->comment('of operation and body');
            $table->unsignedSmallInteger('status');
            $table->mediumText('answer');
            $table->timestamp('spent_at')->nullable()->comment('when what it wrote was undone');
            $table->timestamps();
            $table->unique(['household_id', 'key']);
        });
    }

    public function down(): void
    {
        Schema::drop('answered_requests');
        Schema::table('formula_versions', function (Blueprint $table): void {
            $table->dropColumn('note');
        });
        Schema::table('notes', function (Blueprint $table): void {
            $table->dropColumn(['ph_by', 'ph_margin']);
        });
        Schema::table('ingredients', function (Blueprint $table): void {
            $table->dropColumn('traits');
        });
        foreach (self::VERSIONED as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->dropColumn('version');
            });
        }
    }
};
