<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * The database itself: whether it is there, and from which copy of it is read.
 */
final class Database
{
    /** Whether what is only read comes from a copy. */
    public static function hasCopy(): bool
    {
        return Config::has('database.connections.mariadb.read');
    }

    /** For the rest of this request. */
    public static function readFromOriginal(): void
    {
        DB::connection()->useWriteConnectionWhenReading();
    }

    public static function answers(): bool
    {
        try {
            DB::select('select 1');

            return true;
        } catch (Throwable) {
            return false;
        }
    }
}
