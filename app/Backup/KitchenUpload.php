<?php

declare(strict_types=1);

namespace App\Backup;

use App\Household\CurrentHousehold;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;

/**
 * A large file that comes in parts, each of which can be sent again: what was lost on the way is not begun from the start.
 */
final readonly class KitchenUpload
{
    /** Bytes of a part; the last may have fewer. */
    public const PART = 8 * 1024 * 1024;

    public function __construct(private CurrentHousehold $current) {}

    /** A new one; what the kitchen had begun before is forgotten. */
    public function begin(): string
    {
        $this->forget();
        $id = strtolower((string) Str::ulid());
        File::ensureDirectoryExists($this->folder($id), 0700);

        return $id;
    }

    /** @return bool  whether there is such an upload */
    public function put(string $id, int $part, string $bytes): bool
    {
        if (!$this->exists($id)) {
            return false;
        }
        File::put("{$this->folder($id)}/" . sprintf('%06d.part', $part), $bytes);

        return true;
    }

    /** All of it as one file, for as long as the work lasts; null where something of it is missing. */
    public function whole(string $id, int $parts): ?string
    {
        $paths = $this->exists($id) ? File::glob("{$this->folder($id)}/*.part") : [];
        sort($paths);
        $awaited = array_map(static fn(int $part): string => sprintf('%06d.part', $part), range(0, max(0, $parts - 1)));
        if (array_map(basename(...), $paths) !== $awaited) {
            return null;
        }
        $whole = "{$this->folder($id)}/whole";
        $to = fopen($whole, 'wb');
        if ($to === false) {
            return null;
        }
        foreach ($paths as $path) {
            $from = fopen($path, 'rb');
            if ($from !== false) {
                stream_copy_to_stream($from, $to);
                fclose($from);
            }
        }
        fclose($to);

        return $whole;
    }

    public function forget(): void
    {
        File::deleteDirectory($this->home());
    }

    private function exists(string $id): bool
    {
        return Str::isUlid($id) && is_dir($this->folder($id));
    }

    private function home(): string
    {
        return rtrim(Config::string('tempesal.uploads'), '/') . "/{$this->current->id()}";
    }

    private function folder(string $id): string
    {
        return "{$this->home()}/" . strtolower($id);
    }
}
