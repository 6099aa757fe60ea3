<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A jar knows its kinds of pieces, and what is eaten of it. Jars that were begun before go on as they were: all pieces
 * are one kind, dressed food is served drained.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('batches', static function (Blueprint $table): void {
            $table->string('served', 16)->nullable()->after('shape');
            $table->boolean('is_apart')->default(true)->after('served');
        });
        DB::table('batches')->update(['is_apart' => false]);
        DB::table('batches')
            ->whereIn('method', ['kimchi_dry_salted', 'kimchi_soaked', 'salt_and_drain'])
            ->update(['served' => 'pieces']);
        // Foods of the library that nobody has changed: the leaf and the rib of these take up salt at their own pace.
        DB::table('ingredients')
            ->whereIn('key', ['napa-cabbage', 'pak-choi'])
            ->where('version', 1)
            ->update(['tissue' => 'ribbed_leaf']);
    }

    public function down(): void
    {
        Schema::table('batches', static function (Blueprint $table): void {
            $table->dropColumn(['served', 'is_apart']);
        });
    }
};
