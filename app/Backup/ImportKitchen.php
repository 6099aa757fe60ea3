<?php

declare(strict_types=1);

namespace App\Backup;

use App\Actions\SavePhoto;
use App\Actions\SeedFormulas;
use App\Actions\SeedPantry;
use App\Actions\StartFromFormula;
use App\Care\RipeningWindows;
use App\Household\CurrentHousehold;
use App\Household\HouseholdTransaction;
use App\Ledger\EntryReader;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Models\FormulaVersion;
use App\Models\Household;
use App\Models\Note;
use App\Models\OtherFood;
use App\Models\Person;
use App\Models\Serving;
use App\Support\InvalidInput;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Message\Message;
use Throwable;

/**
 * Brings a whole kitchen back from its document, in the place of one in which no jar was started yet. Every row gets
 * an id of its own, so that a document can be brought in beside the kitchen it came from; all of it or nothing.
 *
 * @phpstan-import-type Document from KitchenUpgrades
 */
final readonly class ImportKitchen
{
    private const MOST_ROWS = 5_000_000;

    private const AT_ONCE = 200;

    private const ULID = '/[0-9a-hjkmnp-tv-z]{26}/i';

    public function __construct(
        private CurrentHousehold $current,
        private HouseholdTransaction $transaction,
        private SavePhoto $photos,
        private SeedPantry $pantry,
        private SeedFormulas $formulas,
    ) {}

    /**
     * @param  (callable(string): (string|null))|null  $photo  the bytes of a photo by its name, where they are not in the document
     * @return array<string, int> how many rows of each table came in
     *
     * @throws ValidationException at "file"
     */
    public function __invoke(string $json, ?callable $photo = null): array
    {
        $document = json_decode($json, true, 64);
        if (
            !is_array($document) ||
            ($document['tempesal'] ?? null) !== 'kitchen' ||
            !is_array($document['household'] ?? null) ||
            !is_array($document['rows'] ?? null)
        ) {
            throw self::refusal(Message::of('errors.not_a_kitchen'));
        }
        $version = $document['version'] ?? null;
        if (!is_int($version) || $version < KitchenUpgrades::OLDEST || $version > KitchenFile::VERSION) {
            throw self::refusal(
                Message::of('errors.kitchen_version', oldest: KitchenUpgrades::OLDEST, newest: KitchenFile::VERSION),
            );
        }
        /** @var Document $given */
        $given = $document;
        $document = KitchenUpgrades::toCurrent($given);
        $photo ??= self::inDocument($document['photos'] ?? null);
        $rows = self::rows($document['rows']);
        // A note without its photo is better than none.
        $rows['notes'] = array_map(
            static fn(array $note): array => [
                ...$note,
                'photo' => $photo((string) ($note['photo'] ?? '')) === null ? null : $note['photo'],
            ],
            $rows['notes'],
        );
        $ids = self::newIds($rows);

        $counts = ($this->transaction)(function () use ($document, $rows, $ids, $photo): array {
            $household = $this->current->get();
            if (Batch::query()->exists() || OtherFood::query()->exists()) {
                throw self::refusal(Message::of('errors.kitchen_not_empty'));
            }
            try {
                self::clear($household);
                DB::table('households')
                    ->where('id', $household->id)
                    ->update(
                        self::renamed(
                            array_filter(
                                array_intersect_key($document['household'], array_flip(KitchenFile::HOUSEHOLD)),
                                is_scalar(...),
                            ),
                            $ids,
                        ),
                    );
                foreach ($rows as $table => $some) {
                    self::write($table, $some, $ids, $household);
                }
                $this->current->during(Household::query()->findOrFail($household->id), function (): void {
                    $this->pantry->foods();
                    ($this->formulas)();
                    self::lookThrough($this->current->get());
                });
                $this->keepPhotos($photo);
            } catch (ValidationException $refusal) {
                throw $refusal;
            } catch (Throwable $trouble) {
                report($trouble);
                throw self::refusal(Message::of('errors.kitchen_broken'));
            }

            return array_map(count(...), $rows);
        });
        $this->current->get()->refresh();

        return $counts;
    }

    /**
     * @param  array<array-key, mixed>  $given
     * @return array<string, list<array<string, scalar|null>>> by table, in the order in which they are written
     */
    private static function rows(array $given): array
    {
        $rows = [];
        $count = 0;
        foreach (KitchenFile::TABLES as $table) {
            $known = array_flip(array_diff(Schema::getColumnListing($table), ['household_id']));
            $rows[$table] = [];
            foreach (is_array($given[$table] ?? null) ? $given[$table] : [] as $row) {
                $row = is_array($row)
                    ? array_filter(
                        array_intersect_key($row, $known),
                        static fn(mixed $value): bool => $value === null || is_scalar($value),
                    )
                    : [];
                if (
                    preg_match('/^[0-9a-hjkmnp-tv-z]{26}$/i', (string) ($row['id'] ?? '')) !== 1 ||
                    ++$count > self::MOST_ROWS
                ) {
                    throw self::refusal(Message::of('errors.kitchen_part', part: $table));
                }
                $rows[$table][] = $row;
            }
        }

        return $rows;
    }

    /**
     * @param  array<string, list<array<string, scalar|null>>>  $rows
     * @return array<string, string> the new id of each old one, in the same order
     */
    private static function newIds(array $rows): array
    {
        $old = [];
        foreach ($rows as $some) {
            foreach ($some as $row) {
                $id = strtolower((string) $row['id']);
                $old[$id] = isset($old[$id]) ? throw self::refusal(Message::of('errors.kitchen_duplicate')) : $id;
            }
        }
        sort($old);

        return array_combine($old, array_map(static fn(): string => strtolower((string) Str::ulid()), $old));
    }

    /**
     * @param  array<string, scalar|null>  $row
     * @param  array<string, string>  $ids
     * @return array<string, scalar|null> the same with the new ids in the place of the old, also where they stand
     *     within a text
     */
    private static function renamed(array $row, array $ids): array
    {
        return array_map(
            static fn(mixed $value): mixed => is_string($value)
                ? preg_replace_callback(
                    self::ULID,
                    static fn(array $found): string => $ids[strtolower($found[0])] ?? $found[0],
                    $value,
                )
                : $value,
            $row,
        );
    }

    private static function clear(Household $household): void
    {
        foreach (array_reverse(KitchenFile::TABLES) as $table) {
            DB::table($table)->where('household_id', $household->id)->delete();
        }
    }

    /**
     * @param  list<array<string, scalar|null>>  $rows
     * @param  array<string, string>  $ids
     */
    private static function write(string $table, array $rows, array $ids, Household $household): void
    {
        $new = array_flip($ids);
        $renamed = [];
        foreach ($rows as $row) {
            $row = self::renamed($row, $ids);
            foreach ($row as $column => $value) {
                // What points to something points to something that came along, never into another kitchen.
                if (str_ends_with($column, '_id') && $value !== null && !isset($new[(string) $value])) {
                    throw self::refusal(Message::of('errors.kitchen_dangling', part: $table));
                }
            }
            $renamed[] = [...$row, 'household_id' => $household->id];
        }
        foreach (array_chunk($renamed, self::AT_ONCE) as $some) {
            DB::table($table)->insert($some);
        }
    }

    /** Reads everything once as it will be read: what cannot be is refused now, not on a screen later. */
    private static function lookThrough(Household $household): void
    {
        $household->attributesToArray();
        $household->quietHours();
        $household->today();
        if (
            !in_array($household->measure_by, ['grams', 'spoons'], true) ||
            $household->week_start < 1 ||
            $household->week_start > 7
        ) {
            throw self::refusal(Message::of('errors.kitchen_units'));
        }
        if (Person::atTable()->isEmpty()) {
            throw self::refusal(Message::of('errors.kitchen_no_people'));
        }
        foreach (Person::atTable() as $person) {
            $person->currentTarget()->restOfWeek();
        }
        foreach (Batch::whole()->get() as $batch) {
            Ledgers::history($batch)->resolved();
            RipeningWindows::of($batch, $household);
            $batch->toArray();
        }
        $pantry = EntryReader::pantry();
        foreach (FormulaVersion::query()->get() as $version) {
            StartFromFormula::read($version, $pantry);
        }
        foreach (Serving::query()->with('entry')->get() as $serving) {
            $serving->sodium();
            $serving->way();
            $serving->toArray();
        }
        foreach (OtherFood::query()->get() as $food) {
            $food->meals();
        }
    }

    /** @param  callable(string): (string|null)  $photo */
    private function keepPhotos(callable $photo): void
    {
        foreach (Note::query()->where('photo', '!=', null)->lazyById() as $note) {
            $this->photos->again($note, (string) $photo((string) $note->photo));
        }
    }

    /** @return callable(string): (string|null) what stands in the document itself, in base64 */
    private static function inDocument(mixed $photos): callable
    {
        return static function (string $name) use ($photos): ?string {
            $bytes = is_array($photos) && SavePhoto::isName($name) ? $photos[$name] ?? null : null;

            return is_string($bytes) ? (string) base64_decode($bytes, true) : null;
        };
    }

    private static function refusal(Message $why): ValidationException
    {
        return InvalidInput::at('file', $why);
    }
}
