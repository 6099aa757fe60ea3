<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What is kept of a batch is what its entries came to without its servings, up to a position, and known by a mark.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::table('batch_snapshots')->delete();
        Schema::table('batch_snapshots', function (Blueprint $table): void {
            $table->unsignedInteger('position');
            $table->char('mark', 32)->charset('ascii')->collation('ascii_bin');
            $table->char('core', 32)->charset('ascii')->collation('ascii_bin');
            $table->mediumText('short')->charset('ascii')->collation('ascii_bin');
            $table->mediumText('state')->charset('ascii')->collation('ascii_bin')->nullable()->change();
        });
        // What is no serving is found without reading what is.
        Schema::table('batch_entries', fn(Blueprint $table) => $table->index(['batch_id', 'kind']));
    }

    public function down(): void
    {
        Schema::table('batch_entries', fn(Blueprint $table) => $table->dropIndex(['batch_id', 'kind']));
        DB::table('batch_snapshots')->delete();
        Schema::table('batch_snapshots', function (Blueprint $table): void {
            $table->dropColumn(['position', 'mark', 'core', 'short']);
            $table->mediumText('state')->charset('ascii')->collation('ascii_bin')->nullable(false)->change();
        });
    }
};
