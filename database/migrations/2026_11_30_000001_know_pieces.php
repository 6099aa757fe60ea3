<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/**
 * A jar knows its kinds of pieces, and what is eaten of it. Jars that were begun before go on as they were: all pieces
 * are one kind, dressed food is served drained.
 */
return new class extends Migration {
    /** name, ml, mouth mm, body mm, cover; as a new kitchen has them */
    private const BOTTLES = [
        ['Sauce bottle, 100 ml', 100, 24, 44, 'screw lid'],
        ['Sauce bottle, 150 ml', 150, 24, 50, 'screw lid'],
        ['Sauce bottle, 250 ml', 250, 28, 58, 'screw lid'],
        ['Bottle, 500 ml', 500, 28, 70, 'screw lid'],
        ['Bottle, 1 litre', 1000, 28, 88, 'screw lid'],
    ];

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
        foreach (DB::table('households')->pluck('id') as $household) {
            $position = DB::table('jars')->where('household_id', $household)->count();
            foreach (self::BOTTLES as [$name, $ml, $mouth, $body, $cover]) {
                DB::table('jars')->insert([
                    'id' => (string) Str::ulid(),
                    'household_id' => $household,
                    'name' => $name,
                    'position' => ++$position,
                    'nominal_ml' => $ml,
                    'mouth_mm' => $mouth,
                    'body_mm' => $body,
                    'cover' => $cover,
                    'how_many' => 0,
                    'created_at' => now(),
                    'updated_at' => now(),
                ]);
            }
        }
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
