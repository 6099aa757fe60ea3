<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Batch;
use App\Models\Jar;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;

/**
 * Jars of which none is free, and what is in them.
 */
final class TakenJars
{
    /**
     * The jars of which there are not enough, with the names of what is in them.
     *
     * @param  list<Jar>  $jars
     * @return list<array{jar: Jar, by: list<string>, needed: int}>
     */
    public static function of(array $jars, ?string $except = null): array
    {
        $taken = [];
        foreach (collect($jars)->groupBy('id') as $same) {
            $jar = $same->first();
            if ($jar === null) {
                continue;
            }
            $by = Batch::query()
                ->where('jar_id', $jar->id)
                ->whereNull('emptied_at')
                ->when($except !== null, static fn($query) => $query->whereKeyNot($except))
                ->orderBy('started_at')
                ->pluck('name')
                ->map(static fn(mixed $name): string => is_string($name) ? $name : '')
                ->values()
                ->all();
            if (count($by) + $same->count() > $jar->how_many) {
                $taken[] = ['jar' => $jar, 'by' => array_values($by), 'needed' => $same->count()];
            }
        }

        return $taken;
    }

    /** @param  list<string>  $by */
    public static function message(Jar $jar, array $by): Message
    {
        return $by === []
            ? Message::of('errors.jar_none', jar: $jar->name)
            : Message::of('errors.jar_taken', jar: $jar->name, batches: Listed::all($by), count: count($by));
    }
}
