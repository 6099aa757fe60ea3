<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * How each kind of cultures sits with someone, in their own judgement.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('people', static function (Blueprint $table): void {
            $table->json('tolerances')->default('{}')->after('dislikes')->comment('by kind of cultures');
        });
    }

    public function down(): void
    {
        Schema::table('people', static function (Blueprint $table): void {
            $table->dropColumn('tolerances');
        });
    }
};
