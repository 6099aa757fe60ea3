<?php

declare(strict_types=1);

namespace App\Backup;

use App\Actions\SavePhoto;
use App\Models\Household;
use App\Models\Note;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use RuntimeException;
use ZipArchive;

/**
 * A whole kitchen as a zip: the document, and each photo as a file beside it. It is written and read piece by piece, so that
 * its size is limited by the disk alone.
 */
final class KitchenArchive
{
    private const DOCUMENT = 'kitchen.json';

    private const PHOTOS = 'photos/';

    /** Rows that are in memory at once. */
    private const AT_ONCE = 500;

    /** Makes the archive and returns where it lies; whoever asked deletes it. */
    public static function make(Household $household): string
    {
        $folder = Config::string('tempesal.uploads') . '/made';
        File::ensureDirectoryExists($folder, 0700);
        $path = "{$folder}/" . Str::ulid() . '.zip';
        $document = "{$path}.json";
        $zip = new ZipArchive();
        $to = fopen($document, 'wb');
        if ($to === false || $zip->open($path, ZipArchive::CREATE) !== true) {
            throw new RuntimeException("There is no room for the kitchen's archive in {$folder}.");
        }
        self::write($household, $to);
        fclose($to);
        $zip->addFile($document, self::DOCUMENT);
        foreach (Note::query()->where('photo', '!=', null)->orderBy('id')->lazy(self::AT_ONCE) as $note) {
            $photo = SavePhoto::path($note);
            if ($photo !== null && is_file($photo)) {
                $zip->addFile($photo, self::PHOTOS . $note->photo);
                // It is packed already.
                $zip->setCompressionName(self::PHOTOS . $note->photo, ZipArchive::CM_STORE);
            }
        }
        $zip->close();
        File::delete($document);

        return $path;
    }

    public static function isOne(string $path): bool
    {
        return file_get_contents($path, length: 4) === "PK\x03\x04";
    }

    /**
     * The document in an archive, and what gives each photo by its name; null where there is no document.
     *
     * @return array{string, callable(string): (string|null)}|null
     */
    public static function read(string $path): ?array
    {
        $zip = new ZipArchive();
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            return null;
        }
        $document = $zip->getFromName(self::DOCUMENT);

        return $document === false
            ? null
            : [
                $document,
                static function (string $name) use ($zip): ?string {
                    $bytes = SavePhoto::isName($name) ? $zip->getFromName(self::PHOTOS . $name) : false;

                    return $bytes === false ? null : $bytes;
                },
            ];
    }

    /** @param  resource  $to */
    private static function write(Household $household, mixed $to): void
    {
        $head = KitchenFile::head($household);
        // Without the bracket that closes it.
        fwrite($to, substr(self::json($head), 0, -1) . ',"rows":{');
        foreach (KitchenFile::TABLES as $at => $table) {
            fwrite($to, ($at === 0 ? '' : ',') . self::json($table) . ':[');
            $isFirst = true;
            $rows = DB::table($table)->where('household_id', $household->id)->orderBy('id')->lazyById(self::AT_ONCE);
            foreach ($rows as $row) {
                fwrite($to, ($isFirst ? '' : ',') . self::json(KitchenFile::row((array) $row)));
                $isFirst = false;
            }
            fwrite($to, ']');
        }
        fwrite($to, '},"photos":{}}');
    }

    private static function json(mixed $value): string
    {
        return json_encode(
            $value,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        );
    }
}
