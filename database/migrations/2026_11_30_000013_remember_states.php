<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What a batch came to after its lines, so that it need not be computed from the first one on. It can be thrown away at any
 * time, and is in no export.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('batch_snapshots', function (Blueprint $table): void {
            $table->foreignUlid('batch_id')->primary()->constrained()->cascadeOnDelete();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->mediumText('state')->charset('ascii')->collation('ascii_bin');
            $table->timestamp('created_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('batch_snapshots');
    }
};
