<?php

declare(strict_types=1);

namespace App\Labels;

use LengthException;

/**
 * A QR code of a text: bytes at error correction level M, versions 1 to 10, after ISO/IEC 18004. No package of the
 * registry draws one for this PHP, so it stands here; tests read it back with a decoder of others.
 */
final class QrCode
{
    private const LARGEST = 10;

    /** Codewords for correction in each block, by version. */
    private const CORRECTION = [1 => 10, 16, 26, 18, 24, 16, 18, 22, 22, 26];

    /** Blocks by version: how many, and data codewords in each; blocks of a second kind hold one more. */
    private const BLOCKS = [
        1 => [[1, 16]],
        [[1, 28]],
        [[1, 44]],
        [[2, 32]],
        [[2, 43]],
        [[4, 27]],
        [[4, 31]],
        [[2, 38], [2, 39]],
        [[3, 36], [2, 37]],
        [[4, 43], [1, 44]],
    ];

    /** Centres of the alignment patterns, by version. */
    private const ALIGNMENT = [
        1 => [],
        [6, 18],
        [6, 22],
        [6, 26],
        [6, 30],
        [6, 34],
        [6, 22, 38],
        [6, 24, 42],
        [6, 26, 46],
        [6, 28, 50],
    ];

    private const FORMAT_GENERATOR = 0x537;

    private const FORMAT_MASK = 0x5412;

    private const VERSION_GENERATOR = 0x1f25;

    private const FIELD_POLYNOMIAL = 0x11d;

    private readonly int $size;

    /** @var array<int, array<int, bool>> dark modules, row by row */
    private array $dark = [];

    /** @var array<int, array<int, true>> modules that carry no data */
    private array $reserved = [];

    private function __construct(private readonly int $version)
    {
        $this->size = 17 + 4 * $version;
        $this->dark = array_fill(0, $this->size, array_fill(0, $this->size, false));
    }

    /**
     * @return list<list<bool>> rows of modules, true for dark, without the quiet zone
     *
     * @throws LengthException for more than 213 bytes
     */
    public static function of(string $text): array
    {
        $version = self::versionFor(strlen($text));
        $code = new self($version);
        $code->drawPatterns();
        $code->drawData(self::withCorrection(self::data($text, $version), $version));
        $best = null;
        $least = PHP_INT_MAX;
        for ($mask = 0; $mask < 8; $mask++) {
            $tried = clone $code;
            $tried->mask($mask);
            $tried->drawFormat($mask);
            $penalty = $tried->penalty();
            if ($penalty < $least) {
                [$best, $least] = [$tried, $penalty];
            }
        }

        return array_map(array_values(...), array_values(($best ?? $code)->dark));
    }

    private static function versionFor(int $bytes): int
    {
        for ($version = 1; $version <= self::LARGEST; $version++) {
            if (4 + ($version < 10 ? 8 : 16) + 8 * $bytes <= 8 * self::capacity($version)) {
                return $version;
            }
        }

        throw new LengthException('That is too long for a QR code.');
    }

    private static function capacity(int $version): int
    {
        return array_sum(array_map(static fn(array $kind): int => $kind[0] * $kind[1], self::BLOCKS[$version]));
    }

    /** @return list<int> data codewords, filled up */
    private static function data(string $text, int $version): array
    {
        $bits = '0100' . str_pad(decbin(strlen($text)), $version < 10 ? 8 : 16, '0', STR_PAD_LEFT);
        foreach (str_split($text) as $letter) {
            $bits .= str_pad(decbin(ord($letter)), 8, '0', STR_PAD_LEFT);
        }
        $room = 8 * self::capacity($version);
        $bits = substr($bits . '0000', 0, $room);
        $bits = str_pad($bits, (int) (ceil(strlen($bits) / 8) * 8), '0');
        $words = array_map(static fn(string $byte): int => (int) bindec($byte), str_split($bits, 8));
        for ($i = 0; count($words) < self::capacity($version); $i++) {
            $words[] = $i % 2 === 0 ? 0xec : 0x11;
        }

        return $words;
    }

    /**
     * @param  list<int>  $data
     * @return list<int> blocks woven together, then their correction
     */
    private static function withCorrection(array $data, int $version): array
    {
        $generator = self::generator(self::CORRECTION[$version]);
        $blocks = $corrections = [];
        $at = 0;
        foreach (self::BLOCKS[$version] as [$count, $length]) {
            for ($i = 0; $i < $count; $i++) {
                $block = array_slice($data, $at, $length);
                $blocks[] = $block;
                $corrections[] = self::remainder($block, $generator);
                $at += $length;
            }
        }

        return [...self::woven($blocks), ...self::woven($corrections)];
    }

    /**
     * @param  list<list<int>>  $blocks
     * @return list<int>
     */
    private static function woven(array $blocks): array
    {
        $all = [];
        for ($i = 0, $longest = max([0, ...array_map(count(...), $blocks)]); $i < $longest; $i++) {
            foreach ($blocks as $block) {
                if (isset($block[$i])) {
                    $all[] = $block[$i];
                }
            }
        }

        return $all;
    }

    /** @return list<int> coefficients of the Reed-Solomon generator, without the leading one */
    private static function generator(int $degree): array
    {
        $result = array_fill(0, $degree, 0);
        $result[$degree - 1] = 1;
        $root = 1;
        for ($i = 0; $i < $degree; $i++) {
            for ($j = 0; $j < $degree; $j++) {
                $result[$j] = self::times($result[$j], $root) ^ ($result[$j + 1] ?? 0);
            }
            $root = self::times($root, 2);
        }

        return array_values($result);
    }

    /**
     * @param  list<int>  $data
     * @param  list<int>  $generator
     * @return list<int>
     */
    private static function remainder(array $data, array $generator): array
    {
        $result = array_fill(0, count($generator), 0);
        foreach ($data as $word) {
            $factor = $word ^ (int) array_shift($result);
            $result[] = 0;
            foreach ($generator as $i => $coefficient) {
                $result[$i] ^= self::times($coefficient, $factor);
            }
        }

        return array_values($result);
    }

    /** Product in the field of 256 elements. */
    private static function times(int $x, int $y): int
    {
        $product = 0;
        for ($bit = 7; $bit >= 0; $bit--) {
            $product = ($product << 1) ^ (($product >> 7) * self::FIELD_POLYNOMIAL);
            $product ^= (($y >> $bit) & 1) * $x;
        }

        return $product;
    }

    private function set(int $x, int $y, bool $isDark): void
    {
        $this->dark[$y][$x] = $isDark;
        $this->reserved[$y][$x] = true;
    }

    private function drawPatterns(): void
    {
        for ($i = 0; $i < $this->size; $i++) {
            $this->set(6, $i, $i % 2 === 0);
            $this->set($i, 6, $i % 2 === 0);
        }
        foreach ([[3, 3], [$this->size - 4, 3], [3, $this->size - 4]] as [$x, $y]) {
            $this->drawRings($x, $y, 4, [2, 4]);
        }
        $places = self::ALIGNMENT[$this->version];
        $last = count($places) - 1;
        foreach ($places as $i => $x) {
            foreach ($places as $j => $y) {
                if (!in_array([$i, $j], [[0, 0], [0, $last], [$last, 0]], true)) {
                    $this->drawRings($x, $y, 2, [1]);
                }
            }
        }
        $this->drawFormat(0);
        $this->drawVersion();
    }

    /** @param  list<int>  $light  distances from the centre that are light */
    private function drawRings(int $x, int $y, int $reach, array $light): void
    {
        for ($dy = -$reach; $dy <= $reach; $dy++) {
            for ($dx = -$reach; $dx <= $reach; $dx++) {
                if ($x + $dx >= 0 && $x + $dx < $this->size && $y + $dy >= 0 && $y + $dy < $this->size) {
                    $this->set($x + $dx, $y + $dy, !in_array(max(abs($dx), abs($dy)), $light, true));
                }
            }
        }
    }

    private function drawFormat(int $mask): void
    {
        $rest = $mask;
        for ($i = 0; $i < 10; $i++) {
            $rest = ($rest << 1) ^ (($rest >> 9) * self::FORMAT_GENERATOR);
        }
        $bits = (($mask << 10) | $rest) ^ self::FORMAT_MASK;
        $isSet = static fn(int $i): bool => (($bits >> $i) & 1) === 1;
        for ($i = 0; $i <= 5; $i++) {
            $this->set(8, $i, $isSet($i));
        }
        $this->set(8, 7, $isSet(6));
        $this->set(8, 8, $isSet(7));
        $this->set(7, 8, $isSet(8));
        for ($i = 9; $i < 15; $i++) {
            $this->set(14 - $i, 8, $isSet($i));
        }
        for ($i = 0; $i < 8; $i++) {
            $this->set($this->size - 1 - $i, 8, $isSet($i));
        }
        for ($i = 8; $i < 15; $i++) {
            $this->set(8, $this->size - 15 + $i, $isSet($i));
        }
        $this->set(8, $this->size - 8, true);
    }

    private function drawVersion(): void
    {
        if ($this->version < 7) {
            return;
        }
        $rest = $this->version;
        for ($i = 0; $i < 12; $i++) {
            $rest = ($rest << 1) ^ (($rest >> 11) * self::VERSION_GENERATOR);
        }
        $bits = ($this->version << 12) | $rest;
        for ($i = 0; $i < 18; $i++) {
            $isDark = (($bits >> $i) & 1) === 1;
            [$a, $b] = [$this->size - 11 + ($i % 3), intdiv($i, 3)];
            $this->set($a, $b, $isDark);
            $this->set($b, $a, $isDark);
        }
    }

    /** @param  list<int>  $words */
    private function drawData(array $words): void
    {
        $bit = 0;
        for ($right = $this->size - 1; $right >= 1; $right -= 2) {
            $right = $right === 6 ? 5 : $right;
            for ($step = 0; $step < $this->size; $step++) {
                $y = (($right + 1) & 2) === 0 ? $this->size - 1 - $step : $step;
                foreach ([$right, $right - 1] as $x) {
                    if (!isset($this->reserved[$y][$x]) && $bit < 8 * count($words)) {
                        $this->dark[$y][$x] = (($words[$bit >> 3] >> (7 - ($bit & 7))) & 1) === 1;
                        $bit++;
                    }
                }
            }
        }
    }

    private function mask(int $mask): void
    {
        for ($y = 0; $y < $this->size; $y++) {
            for ($x = 0; $x < $this->size; $x++) {
                $flips =
                    match ($mask) {
                        0 => ($x + $y) % 2,
                        1 => $y % 2,
                        2 => $x % 3,
                        3 => ($x + $y) % 3,
                        4 => (intdiv($x, 3) + intdiv($y, 2)) % 2,
                        5 => (($x * $y) % 2) + (($x * $y) % 3),
                        6 => ((($x * $y) % 2) + (($x * $y) % 3)) % 2,
                        default => ((($x + $y) % 2) + (($x * $y) % 3)) % 2,
                    } === 0;
                if ($flips && !isset($this->reserved[$y][$x])) {
                    $this->dark[$y][$x] = !$this->dark[$y][$x];
                }
            }
        }
    }

    /** How hard it is to read: runs, blocks, patterns that look like a corner, too much of one colour. */
    private function penalty(): int
    {
        $penalty = $count = 0;
        $rows = array_map(
            static fn(array $row): string => implode(
                '',
                array_map(static fn(bool $one): string => $one ? '1' : '0', $row),
            ),
            $this->dark,
        );
        $columns = array_map(
            static fn(int $x): string => implode('', array_map(static fn(string $row): string => $row[$x], $rows)),
            range(0, $this->size - 1),
        );
        foreach ([...$rows, ...$columns] as $line) {
            foreach (preg_match_all('/0{5,}|1{5,}/', $line, $runs) > 0 ? $runs[0] : [] as $run) {
                $penalty += strlen($run) - 2;
            }
            $penalty += 40 * (int) preg_match_all('/(?=00001011101|10111010000)/', $line);
        }
        for ($y = 1; $y < $this->size; $y++) {
            for ($x = 1; $x < $this->size; $x++) {
                $square = $rows[$y - 1][$x - 1] . $rows[$y - 1][$x] . $rows[$y][$x - 1] . $rows[$y][$x];
                $penalty += $square === '0000' || $square === '1111' ? 3 : 0;
            }
        }
        foreach ($rows as $row) {
            $count += substr_count($row, '1');
        }

        return $penalty + 10 * (int) floor(abs(($count * 20.0) / $this->size ** 2 - 10.0));
    }
}
