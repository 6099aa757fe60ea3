<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/**
 * Several cooks of one kitchen, several kitchens of one cook; where each is signed in; tokens for scripts; invitations;
 * reports that somebody outside may read. Whoever had a kitchen keeps it.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('memberships', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('user_id')->constrained()->cascadeOnDelete();
            $table->string('access', 8);
            $table->timestamps();
            $table->unique(['household_id', 'user_id']);
        });
        $now = now();
        foreach (DB::table('users')->get(['id', 'household_id']) as $user) {
            DB::table('memberships')->insert([
                'id' => (string) Str::ulid(),
                'household_id' => $user->household_id,
                'user_id' => $user->id,
                'access' => 'keep',
                'created_at' => $now,
                'updated_at' => $now,
            ]);
        }
        // An address is the same only letter by letter; accents tell two apart.
        DB::statement('alter table users modify email varchar(190) character set utf8mb4 collate utf8mb4_bin not null');
        DB::table('users')->update(['email' => DB::raw('lower(email)'), 'remember_token' => null]);
        Schema::table('users', function (Blueprint $table): void {
            $table->string('name', 60)->default('')->after('email');
            $table->timestamp('sessions_from')->nullable()->after('password');
        });
        Schema::create('devices', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('user_id')->constrained()->cascadeOnDelete();
            $table->string('browser', 20);
            $table->string('system', 20);
            $table->timestamp('last_seen_at');
            $table->timestamps();
        });
        Schema::create('password_reset_tokens', function (Blueprint $table): void {
            $table->string('email', 190)->primary();
            $table->string('token');
            $table->timestamp('created_at')->nullable();
        });
        Schema::create('access_tokens', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->ulidMorphs('tokenable');
            $table->string('name', 60);
            $table->string('token', 64)->unique();
            $table->text('abilities')->nullable();
            $table->timestamp('last_used_at')->nullable();
            $table->timestamp('expires_at')->nullable()->index();
            $table->timestamps();
            $table->unique(['tokenable_id', 'household_id', 'name']);
        });
        Schema::create('invitations', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->string('access', 8);
            $table->string('for_whom', 60);
            $table->text('secret');
            $table->char('secret_hash', 64)->unique();
            $table->timestamp('expires_at');
            $table->timestamps();
        });
        Schema::create('report_links', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('household_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('person_id')->constrained('people')->cascadeOnDelete();
            $table->text('secret');
            $table->char('secret_hash', 64)->unique();
            $table->timestamp('expires_at');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        foreach (
            ['report_links', 'invitations', 'access_tokens', 'password_reset_tokens', 'devices', 'memberships']
            as $table
        ) {
            Schema::dropIfExists($table);
        }
        Schema::table('users', function (Blueprint $table): void {
            $table->dropColumn(['name', 'sessions_from']);
        });
    }
};
