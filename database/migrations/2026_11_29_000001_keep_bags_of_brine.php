<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Bags of brine that hold food down: what goes into them is worked out.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('hold_downs', static function (Blueprint $table): void {
            $table->boolean('is_bag')->default(false)->after('volume_ml');
        });
        DB::table('hold_downs')
            ->where('name', 'like', '%bag%brine%')
            ->orWhere('name', 'like', '%brine%bag%')
            ->update(['is_bag' => true]);
    }

    public function down(): void
    {
        Schema::table('hold_downs', static function (Blueprint $table): void {
            $table->dropColumn('is_bag');
        });
    }
};
