<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Database\LostConnectionDetector;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Log;
use PDOException;
use Throwable;

/**
 * Tells an error of ours from a database that is away, starts just now or has too much to do; that is over by itself.
 */
final class ServerAway
{
    /** When it is worth asking again, in seconds. */
    public const ASK_AGAIN_S = 3;

    /** How often it is written to the log while it lasts, in seconds. */
    private const LOG_EVERY_S = 60;

    /**
     * Errors of MariaDB's server and client: too many connections, shutting down, killed, no connection, gone, lost.
     * Source: MariaDB, "MariaDB Error Codes" 1040, 1053, 1927; client errors 2002 to 2013.
     */
    private const CODES = [1040, 1053, 1077, 1927, 2002, 2003, 2006, 2013];

    public static function isMeant(Throwable $error): bool
    {
        for ($one = $error; $one !== null; $one = $one->getPrevious()) {
            if ($one instanceof PDOException && self::isAway($one)) {
                return true;
            }
        }

        return false;
    }

    /** One line a minute, without where in the code it was noticed: that is everywhere. */
    public static function log(Throwable $error): void
    {
        try {
            $isFirst = Cache::add('database-away', true, self::LOG_EVERY_S);
        } catch (Throwable) {
            $isFirst = true;
        }
        if ($isFirst) {
            $one = $error;
            while ($one->getPrevious() !== null) {
                $one = $one->getPrevious();
            }
            Log::warning('The database does not answer: ' . $one->getMessage());
        }
    }

    private static function isAway(PDOException $error): bool
    {
        $code = is_array($error->errorInfo) ? $error->errorInfo[1] ?? $error->getCode() : $error->getCode();

        return in_array((int) $code, self::CODES, true) ||
            (new LostConnectionDetector())->causedByLostConnection($error);
    }
}
