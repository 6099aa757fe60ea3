<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\CurrentHousehold;
use App\Household\HouseholdTransaction;
use App\Household\IdempotencyKey;
use App\Models\OtherFood;
use App\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;

/**
 * Writes down what was eaten besides the jars, and takes it back. Twice with one key is once.
 */
final readonly class RecordOtherFood
{
    public function __construct(private HouseholdTransaction $transaction, private CurrentHousehold $current) {}

    /**
     * @param  array{person_id: string, eaten_on: string, name: string, sodium_mg: float, instead_of: list<string>,
     *     how: array<string, mixed>}  $columns
     */
    public function __invoke(array $columns, string $requestKey): OtherFood
    {
        return $this->all([$columns], [$requestKey])[0];
    }

    /**
     * All or none.
     *
     * @param  list<array{person_id: string, eaten_on: string, name: string, sodium_mg: float, instead_of: list<string>,
     *     how: array<string, mixed>}>  $rows
     * @param  list<string>  $keys  of each
     * @return list<OtherFood>
     */
    public function all(array $rows, array $keys): array
    {
        return ($this->transaction)(
            static fn(): array => array_map(
                static function (array $row, string $key): OtherFood {
                    Person::query()->findOrFail($row['person_id']);

                    return OtherFood::query()->where('request_key', $key)->first() ??
                        OtherFood::create([...$row, 'request_key' => $key]);
                },
                $rows,
                $keys,
            ),
        );
    }

    /**
     * What someone had on another day once more.
     *
     * @return list<OtherFood>
     *
     * @throws ValidationException where there was nothing, or the day is not over yet
     */
    public function again(string $personId, string $from, string $to, string $requestKey): array
    {
        return ($this->transaction)(function () use ($personId, $from, $to, $requestKey): array {
            $person = Person::query()->findOrFail($personId);
            if ($to > $this->current->get()->today()) {
                throw ValidationException::withMessages(['eatenOn' => 'errors.future_day']);
            }
            $rows = OtherFood::query()
                ->where('person_id', $person->id)
                ->where('eaten_on', $from)
                ->whereNull('undone_at')
                ->orderBy('id')
                ->get()
                ->map(
                    static fn(OtherFood $food): array => [
                        'person_id' => $person->id,
                        'eaten_on' => $to,
                        'name' => $food->name,
                        'sodium_mg' => $food->sodium_mg,
                        'instead_of' => $food->instead_of,
                        'how' => $food->how,
                    ],
                )
                ->all();

            return $rows === []
                ? throw ValidationException::withMessages(['from' => 'errors.nothing_eaten_then'])
                : $this->all(
                    array_values($rows),
                    array_map(
                        static fn(int $n): string => IdempotencyKey::numbered($requestKey, $n),
                        range(0, count($rows) - 1),
                    ),
                );
        });
    }

    /**
     * Puts right what was written down wrongly: the wrong row is taken back, a new one stands for it.
     *
     * @param  array{person_id: string, eaten_on: string, name: string, sodium_mg: float, instead_of: list<string>,
     *     how: array<string, mixed>}  $columns
     */
    public function change(string $id, array $columns, string $requestKey): OtherFood
    {
        return ($this->transaction)(function () use ($id, $columns, $requestKey): OtherFood {
            $known = OtherFood::query()->where('request_key', $requestKey)->first();
            if ($known === null && OtherFood::query()->findOrFail($id)->undone_at !== null) {
                throw ValidationException::withMessages(['otherFood' => 'errors.already_undone']);
            }
            $this->takeBack($id);

            return $this($columns, $requestKey);
        });
    }

    public function takeBack(string $id): OtherFood
    {
        return ($this->transaction)(static function () use ($id): OtherFood {
            $food = OtherFood::query()->findOrFail($id);
            $food->update(['undone_at' => $food->undone_at ?? CarbonImmutable::now()]);
            IdempotencyKey::spend($food->request_key);

            return $food;
        });
    }
}
