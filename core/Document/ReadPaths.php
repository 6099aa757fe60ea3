<?php

declare(strict_types=1);

namespace Tempesal\Core\Document;

/**
 * Which fields of a document were asked for, to find those that nobody knows.
 */
final class ReadPaths
{
    /** @var array<string, true> */
    private array $paths = [];

    public function add(string $path): void
    {
        $this->paths[$path] = true;
    }

    /**
     * The first field below a path that was never asked for. What lies inside a field whose inside nobody looked at is
     * left alone.
     *
     * @param  array<array-key, mixed>  $values
     */
    public function firstUnread(array $values, string $path): ?string
    {
        $isList = array_is_list($values);
        $anyRead = false;
        $unread = null;
        foreach ($values as $key => $value) {
            $here = $isList ? "{$path}[{$key}]" : ($path === '' ? (string) $key : "{$path}.{$key}");
            $isRead = $isList || isset($this->paths[$here]);
            $anyRead = $anyRead || $isRead;
            $unread ??= !$isRead ? $here : (is_array($value) ? $this->firstUnread($value, $here) : null);
        }

        return $anyRead ? $unread : null;
    }
}
