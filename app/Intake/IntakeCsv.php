<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\OtherFood;
use App\Models\Person;
use App\Models\Serving;
use Illuminate\Database\Eloquent\Collection;
use RuntimeException;
use Symfony\Component\Serializer\Encoder\CsvEncoder;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Intake\LabelSodium;
use Tempesal\Core\Intake\Meal;
use Tempesal\Core\Message\Message;

/**
 * Intake as comma-separated rows, out and in. Cells that a spreadsheet would take for a formula are made plain text,
 * and read back as what they were. Servings belong to their jars: they go out, and come in only as what they brought.
 */
final class IntakeCsv
{
    private const COLUMNS = [
        'date',
        'person',
        'what',
        'name',
        'grams',
        'sodium_mg',
        'sodium_low_mg',
        'sodium_high_mg',
        'instead_of',
    ];

    private const MOST_ROWS = 5_000;

    /**
     * @param  Collection<int, Serving>  $servings
     * @param  Collection<int, OtherFood>  $foods
     * @param  Collection<int, Person>  $people
     */
    public static function of(Collection $servings, Collection $foods, Collection $people): string
    {
        $rows = self::rows($servings, $foods, $people);

        return $rows === []
            ? implode(',', self::COLUMNS) . "\n"
            : (new CsvEncoder([CsvEncoder::ESCAPE_FORMULAS_KEY => true]))->encode($rows, 'csv');
    }

    /**
     * @param  Collection<int, Serving>  $servings
     * @param  Collection<int, OtherFood>  $foods
     * @param  Collection<int, Person>  $people
     * @return list<array<string, string|float>>
     */
    public static function rows(Collection $servings, Collection $foods, Collection $people): array
    {
        /** @var array<string, string> $names */
        $names = $people->pluck('name', 'id')->all();
        $rows = [];
        foreach ($servings as $one) {
            $sodium = $one->sodium();
            $rows[] = array_combine(self::COLUMNS, [
                $one->eaten_on,
                $one->person->name,
                'serving',
                $one->batch->name,
                $one->grams,
                $sodium->typical,
                $sodium->low,
                $sodium->high,
                '',
            ]);
        }
        foreach ($foods as $one) {
            $rows[] = array_combine(self::COLUMNS, [
                $one->eaten_on,
                $names[$one->person_id] ?? '',
                'other',
                $one->name,
                '',
                $one->sodium_mg,
                $one->sodium_mg,
                $one->sodium_mg,
                implode(' ', $one->instead_of),
            ]);
        }
        usort(
            $rows,
            static fn(array $one, array $other): int => [$one['date'], $one['person']] <=> [
                $other['date'],
                $other['person'],
            ],
        );

        return $rows;
    }

    /**
     * What a file says and is not written down here yet; of the same food of the same day as many are kept out as are
     * here.
     *
     * @param  Collection<int, Person>  $people
     * @return array{rows: list<array{line: int, personId: string, person: string, date: string, name: string,
     *     sodiumMg: float, insteadOf: list<string>}>, complaints: list<array{line: int, text: Message}>}
     */
    public static function news(string $text, Collection $people): array
    {
        ['rows' => $rows, 'complaints' => $complaints] = self::read($text, $people);
        if ($rows === []) {
            return ['rows' => $rows, 'complaints' => $complaints];
        }
        $key = static fn(string $person, string $date, string $name, float $sodium): string => sprintf(
            '%s %s %.6f %s',
            $person,
            $date,
            $sodium,
            mb_strtolower(trim($name)),
        );
        $there = [];
        [$from, $to] = [min(array_column($rows, 'date')), max(array_column($rows, 'date'))];
        foreach (BackgroundIntake::between($from, $to)->written as $food) {
            $there[] = $key($food->person_id, $food->eaten_on, $food->name, $food->sodium_mg);
        }
        foreach (Intakes::servings($from, $to) as $serving) {
            $there[] = $key(
                $serving->person_id,
                $serving->eaten_on,
                $serving->batch->name,
                $serving->sodium()->typical,
            );
        }
        $there = array_count_values($there);
        $new = [];
        foreach ($rows as $row) {
            $known = $key($row['personId'], $row['date'], $row['name'], $row['sodiumMg']);
            if (($there[$known] ?? 0) > 0) {
                $there[$known]--;
                $complaints[] = ['line' => $row['line'], 'text' => Message::of('errors.csv_known', name: $row['name'])];
            } else {
                $new[] = $row;
            }
        }
        usort($complaints, static fn(array $one, array $other): int => $one['line'] <=> $other['line']);

        return ['rows' => $new, 'complaints' => $complaints];
    }

    /**
     * What a file says, row by row; bad rows are named by their line and kept out.
     *
     * @param  Collection<int, Person>  $people
     * @return array{rows: list<array{line: int, personId: string, person: string, date: string, name: string,
     *     sodiumMg: float, insteadOf: list<string>}>, complaints: list<array{line: int, text: Message}>}
     */
    private static function read(string $text, Collection $people): array
    {
        $rows = $complaints = [];
        $ids = $people->mapWithKeys(static fn(Person $person): array => [mb_strtolower($person->name) => $person->id]);
        $lines = self::lines($text);
        $header = array_map(
            static fn(string $assignment): string => trim(mb_strtolower($assignment)),
            $lines === [] ? [] : $lines[array_key_first($lines)],
        );
        unset($lines[array_key_first($lines)]);
        foreach (['date', 'person', 'name', 'sodium_mg'] as $needed) {
            if (!in_array($needed, $header, true)) {
                return [
                    'rows' => [],
                    'complaints' => [['line' => 1, 'text' => Message::of('errors.csv_column', column: $needed)]],
                ];
            }
        }
        foreach ($lines as $number => $cells) {
            if (count($rows) >= self::MOST_ROWS) {
                $complaints[] = ['line' => $number, 'text' => Message::of('errors.csv_rows', most: self::MOST_ROWS)];
                break;
            }
            $cells = array_map(self::spoken(...), $cells);
            if (count($cells) !== count($header)) {
                $complaints[] = [
                    'line' => $number,
                    'text' => Message::of('errors.csv_cells', count: count($cells), header: count($header)),
                ];

                continue;
            }
            $row = array_combine($header, $cells);
            $personId = $ids[mb_strtolower(trim($row['person']))] ?? null;
            $meals = self::meals($row['instead_of'] ?? '');
            $complaint = match (true) {
                $personId === null => Message::of('errors.csv_person', name: $row['person']),
                preg_match('/^\d{4}-\d{2}-\d{2}$/', $row['date']) !== 1 ||
                    !checkdate(
                        (int) substr($row['date'], 5, 2),
                        (int) substr($row['date'], 8, 2),
                        (int) substr($row['date'], 0, 4),
                    )
                    => Message::of('errors.csv_date', date: $row['date']),
                trim($row['name']) === '' || mb_strlen($row['name']) > 120 => Message::of('errors.csv_name'),
                self::milligrams($row['sodium_mg']) === null => Message::of(
                    'errors.csv_sodium',
                    sodium: $row['sodium_mg'],
                ),
                $meals === null => Message::of('errors.csv_meals', meals: $row['instead_of']),
                default => null,
            };
            if ($complaint !== null) {
                $complaints[] = ['line' => $number, 'text' => $complaint];

                continue;
            }
            $rows[] = [
                'line' => $number,
                'personId' => (string) $personId,
                'person' => trim($row['person']),
                'date' => $row['date'],
                'name' => trim($row['name']),
                'sodiumMg' => (float) self::milligrams($row['sodium_mg']),
                'insteadOf' => $meals,
            ];
        }

        return ['rows' => $rows, 'complaints' => $complaints];
    }

    /**
     * @return array<int, list<string>> cells by the line on which they begin, the first of all first; empty lines are
     *     left out
     */
    private static function lines(string $text): array
    {
        $file = fopen('php://temp', 'w+') ?: throw new RuntimeException('No room to read in.');
        fwrite($file, preg_replace(['/^\xEF\xBB\xBF/', '/\r\n?/'], ['', "\n"], $text) ?? '');
        rewind($file);
        $lines = [];
        $number = 1;
        for ($from = 0; ($cells = fgetcsv($file, escape: '')) !== false; $from = $to) {
            $to = (int) ftell($file);
            if (trim(implode('', $cells)) !== '') {
                $lines[$number] = array_map(strval(...), $cells);
            }
            $number += substr_count((string) stream_get_contents($file, $to - $from, $from), "\n");
            fseek($file, $to);
        }
        fclose($file);

        return $lines;
    }

    /** A cell without what kept a spreadsheet from taking it for a formula. */
    private static function spoken(string $assignment): string
    {
        return preg_match('/^\'[=+\-@\t\r\n]/', $assignment) === 1 ? substr($assignment, 1) : $assignment;
    }

    /** @return list<string>|null meals, with spaces between them; null where it is something else */
    private static function meals(string $typed): ?array
    {
        $meals = preg_split('/\s+/', mb_strtolower(trim($typed)), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        foreach ($meals as $meal) {
            if (Meal::tryFrom($meal) === null) {
                return null;
            }
        }

        return array_values(array_unique($meals));
    }

    private static function milligrams(string $typed): ?float
    {
        if (!is_numeric(trim($typed))) {
            return null;
        }
        try {
            return LabelSodium::milligrams(Fields::of(['by' => 'mg', 'milligrams' => (float) $typed]));
        } catch (InvalidField) {
            return null;
        }
    }
}
