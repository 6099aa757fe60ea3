<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('ingredients', function (Blueprint $table): void {
            $table->string('tissue', 24)->default('root');
            $table->double('ph')->nullable();
            $table->json('allergens')->default('[]');
            $table->json('not_for')->default('[]');
            $table->string('also', 160)->default('');
        });
        Schema::table('batch_entries', function (Blueprint $table): void {
            $table->ulid('request_key')->nullable();
            $table->index(['household_id', 'request_key']);
            $table->index(['batch_id', 'happened_at', 'position']);
        });
        // A rest without a time is now said in words.
        DB::table('batch_entries')
            ->where('kind', 'rest')
            ->update(['entry' => '{"kind":"rest","until":"even"}']);
    }

    public function down(): void
    {
        Schema::table('batch_entries', function (Blueprint $table): void {
            $table->dropIndex(['household_id', 'request_key']);
            $table->dropIndex(['batch_id', 'happened_at', 'position']);
            $table->dropColumn('request_key');
        });
        Schema::table('ingredients', function (Blueprint $table): void {
            $table->dropColumn(['tissue', 'ph', 'allergens', 'not_for', 'also']);
        });
    }
};
