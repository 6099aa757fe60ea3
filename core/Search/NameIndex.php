<?php

declare(strict_types=1);

namespace Tempesal\Core\Search;

/**
 * Finds things by their names, forgiving plurals, accents, word order and a slip of the pen.
 */
final class NameIndex
{
    /** Scores below this are no match. */
    private const LEAST = 0.5;

    /** @var list<array{id: string, words: non-empty-list<string>}> */
    private array $entries = [];

    /** @param  iterable<string, list<string>>  $names  all names of each thing, by its id */
    public function __construct(iterable $names)
    {
        foreach ($names as $id => $all) {
            foreach ($all as $name) {
                $words = self::words($name);
                if ($words !== []) {
                    $this->entries[] = ['id' => (string) $id, 'words' => $words];
                }
            }
        }
    }

    /**
     * Ids of what was meant, best first.
     *
     * @return list<string>
     */
    public function find(string $query, int $most = 20): array
    {
        return array_slice(array_keys($this->scores($query)), 0, $most);
    }

    /** The one that was clearly meant; null when nothing was, or several equally. */
    public function best(string $query): ?string
    {
        $scores = $this->scores($query);
        $ids = array_keys($scores);

        return $ids === [] || (isset($ids[1]) && $scores[$ids[0]] - $scores[$ids[1]] < 1e-9) ? null : $ids[0];
    }

    /**
     * What answers best, and all that answer as well.
     *
     * @return list<string>
     */
    public function alike(string $query): array
    {
        $scores = $this->scores($query);

        return array_keys(
            array_filter($scores, static fn(float $score): bool => $score > (float) reset($scores) - 1e-9),
        );
    }

    /**
     * The words of a query that no name of a thing answers; a short word answers only to itself or its beginning.
     *
     * @return list<string>
     */
    public function unanswered(string $query, string $id): array
    {
        $fewest = $asked = self::words($query);
        foreach ($this->entries as $entry) {
            if ($entry['id'] === $id) {
                $open = array_values(
                    array_filter(
                        $asked,
                        static fn(string $word): bool => array_filter(
                            $entry['words'],
                            static fn(string $there): bool => strlen($word) < 5
                                ? str_starts_with($there, $word)
                                : self::likeness($word, $there) > 0.0,
                        ) === [],
                    ),
                );
                $fewest = count($open) < count($fewest) ? $open : $fewest;
            }
        }

        return $fewest;
    }

    /** @return list<string> the words of a name as they are compared */
    public static function words(string $name): array
    {
        $plain = strtr(mb_strtolower($name), [
            'à' => 'a',
            'á' => 'a',
            'â' => 'a',
            'ä' => 'a',
            'ã' => 'a',
            'å' => 'a',
            'ç' => 'c',
            'é' => 'e',
            'è' => 'e',
            'ê' => 'e',
            'ë' => 'e',
            'í' => 'i',
            'ï' => 'i',
            'ñ' => 'n',
            'ó' => 'o',
            'ô' => 'o',
            'ö' => 'o',
            'õ' => 'o',
            'ø' => 'o',
            'ú' => 'u',
            'ü' => 'u',
            'ß' => 'ss',
            '\'' => '',
            '’' => '',
        ]);
        $words = preg_split('/[^a-z0-9]+/', $plain, -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return array_map(self::singular(...), $words);
    }

    /** @return array<string, float> scores by id, best first */
    private function scores(string $query): array
    {
        $asked = self::words($query);
        if ($asked === []) {
            return [];
        }
        $scores = [];
        foreach ($this->entries as ['id' => $id, 'words' => $words]) {
            $score = self::score($asked, $words);
            if ($score >= self::LEAST && $score > ($scores[$id] ?? 0.0)) {
                $scores[$id] = $score;
            }
        }
        arsort($scores);

        return $scores;
    }

    /**
     * How well a name answers, 0 to 1: each word that was asked for must be there in some way; words of the name that
     * nobody asked for count a little against it.
     *
     * @param  non-empty-list<string>  $asked
     * @param  non-empty-list<string>  $words
     */
    private static function score(array $asked, array $words): float
    {
        $sum = 0.0;
        $used = [];
        foreach ($asked as $word) {
            $best = 0.0;
            foreach ($words as $i => $there) {
                $likeness = self::likeness($word, $there);
                if ($likeness > $best) {
                    $best = $likeness;
                    $used[$word] = $i;
                }
            }
            $sum += $best;
        }
        $covered = count(array_unique($used)) / count($words);

        return ($sum / count($asked)) * (0.8 + 0.2 * $covered);
    }

    private static function likeness(string $asked, string $there): float
    {
        if ($asked === $there) {
            return 1.0;
        }
        if (strlen($asked) >= 2 && str_starts_with($there, $asked)) {
            return 0.75 + (0.2 * strlen($asked)) / strlen($there);
        }
        $length = strlen($asked);
        $allowed = $length >= 8 ? 2 : ($length >= 4 ? 1 : 0);
        $away = $allowed === 0 ? 9 : self::slips($asked, $there);

        return $away <= $allowed ? 0.85 - 0.15 * $away : 0.0;
    }

    /** Letters too many, missing, wrong or swapped with their neighbour. */
    private static function slips(string $one, string $two): int
    {
        if (abs(strlen($one) - strlen($two)) > 2) {
            return 9;
        }
        $distance = levenshtein($one, $two);
        if ($distance === 2 && strlen($one) === strlen($two)) {
            for ($i = 0; $i < strlen($one) - 1; $i++) {
                $swapped = substr($one, 0, $i) . $one[$i + 1] . $one[$i] . substr($one, $i + 2);
                if ($swapped === $two) {
                    return 1;
                }
            }
        }

        return $distance;
    }

    private static function singular(string $word): string
    {
        return match (true) {
            strlen($word) > 5 && str_ends_with($word, 'llies') => substr($word, 0, -2),
            strlen($word) > 4 && str_ends_with($word, 'ies') => substr($word, 0, -3) . 'y',
            strlen($word) > 4 && str_ends_with($word, 'leaves') => substr($word, 0, -3) . 'f',
            strlen($word) > 4 && preg_match('/(oes|ches|shes|sses|xes)$/', $word) === 1 => substr($word, 0, -2),
            strlen($word) > 3 && str_ends_with($word, 's') && !str_ends_with($word, 'ss') && !str_ends_with($word, 'us')
                => substr($word, 0, -1),
            default => $word,
        };
    }
}
