<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Note;
use GdImage;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/**
 * Keeps a photo of a jar: read as a picture, turned upright, made smaller and written anew, so that nothing of the file
 * that was sent remains but its picture. It lies where the web server hands nothing out.
 */
final class SavePhoto
{
    /** More than any photo of a jar needs, and no more than a small server's memory holds. */
    private const MOST_PIXELS = 24_000_000;

    private const LONGEST_SIDE = 1600;

    private const QUALITY = 84;

    private const NO_PICTURE = 'errors.photo_unreadable';

    /** @throws ValidationException */
    public function __invoke(string $noteId, UploadedFile $file): Note
    {
        $note = Note::query()->findOrFail($noteId);
        $bytes = $file->isValid() ? (string) $file->get() : '';
        $picture = self::read($bytes, $file->getPathname());
        $name = (string) Str::ulid() . '.jpg';
        File::ensureDirectoryExists(self::folder($note), 0700);
        imagejpeg($picture, self::folder($note) . "/{$name}", self::QUALITY);
        $before = self::path($note);
        $note->update(['photo' => $name]);
        if ($before !== null) {
            File::delete($before);
        }

        return $note;
    }

    /**
     * Puts back a photo that was kept before, by its name.
     *
     * @throws ValidationException
     */
    public function again(Note $note, string $bytes): void
    {
        $picture = self::read($bytes, null);
        File::ensureDirectoryExists(self::folder($note), 0700);
        imagejpeg($picture, self::folder($note) . "/{$note->photo}", self::QUALITY);
    }

    /** Whether that could be the name of a photo; nothing else is ever looked for on the disk. */
    public static function isName(string $name): bool
    {
        return preg_match('/^[0-9A-Za-z]{26}\.jpg$/', $name) === 1;
    }

    /** Where a note's photo lies; null when it has none. */
    public static function path(Note $note): ?string
    {
        return $note->photo === null || !self::isName($note->photo) ? null : self::folder($note) . "/{$note->photo}";
    }

    /** Where a household's photos lie. */
    public static function folderOf(string $householdId): string
    {
        return rtrim(Config::string('tempesal.photos'), '/') . "/{$householdId}";
    }

    private static function folder(Note $note): string
    {
        return self::folderOf($note->household_id);
    }

    /**
     * @param  string|null  $path  where the file lies, for how its camera was held
     *
     * @throws ValidationException
     */
    private static function read(string $bytes, ?string $path): GdImage
    {
        $size = @getimagesizefromstring($bytes);
        if ($size === false || !in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw ValidationException::withMessages(['photo' => self::NO_PICTURE]);
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw ValidationException::withMessages(['photo' => 'errors.photo_too_large']);
        }
        $picture = @imagecreatefromstring($bytes);
        if ($picture === false) {
            throw ValidationException::withMessages(['photo' => self::NO_PICTURE]);
        }

        return self::upright(self::smaller($picture), $size[2] === IMAGETYPE_JPEG ? $path : null);
    }

    /** On white, since a JPEG knows no transparency. */
    private static function smaller(GdImage $picture): GdImage
    {
        [$width, $height] = [imagesx($picture), imagesy($picture)];
        $by = min(1.0, self::LONGEST_SIDE / max($width, $height));
        [$toWidth, $toHeight] = [max(1, (int) round($width * $by)), max(1, (int) round($height * $by))];
        $small = imagecreatetruecolor($toWidth, $toHeight);
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 255, 255, 255));
        imagecopyresampled($small, $picture, 0, 0, 0, 0, $toWidth, $toHeight, $width, $height);

        return $small;
    }

    /** Cameras write down how they were held. */
    private static function upright(GdImage $picture, ?string $jpeg): GdImage
    {
        $exif = $jpeg === null ? false : @exif_read_data($jpeg);
        $turn = [3 => 180, 6 => 270, 8 => 90][is_array($exif) ? $exif['Orientation'] ?? 1 : 1] ?? 0;

        return $turn === 0 ? $picture : (imagerotate($picture, $turn, 0) ?: $picture);
    }
}
