<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\OneAtATime;
use App\Models\OtherFood;
use App\Models\Person;
use Carbon\CarbonImmutable;

/**
 * Writes down what was eaten besides the jars, and takes it back. Twice with one key is once.
 */
final readonly class WriteOtherFood
{
    public function __construct(private OneAtATime $oneAtATime)
    {
    }

    /** @param  array{person_id: string, eaten_on: string, name: string, sodium_mg: float, instead_mg: float, how: array<string, mixed>}  $columns */
    public function __invoke(array $columns, string $requestKey): OtherFood
    {
        return $this->all([$columns], [$requestKey])[0];
    }

    /**
     * All or none.
     *
     * @param  list<array{person_id: string, eaten_on: string, name: string, sodium_mg: float, instead_mg: float, how: array<string, mixed>}>  $rows
     * @param  list<string>  $keys  of each
     * @return list<OtherFood>
     */
    public function all(array $rows, array $keys): array
    {
        $written = [];
        ($this->oneAtATime)(static function () use ($rows, $keys, &$written): void {
            foreach ($rows as $i => $row) {
                Person::query()->findOrFail($row['person_id']);
                $written[] = OtherFood::query()->where('request_key', $keys[$i])->first() ?? OtherFood::create([...$row, 'request_key' => $keys[$i]]);
            }
        });

        return $written;
    }

    public function takeBack(string $id): OtherFood
    {
        return ($this->oneAtATime)(static function () use ($id): OtherFood {
            $food = OtherFood::query()->findOrFail($id);
            $food->update(['undone_at' => $food->undone_at ?? CarbonImmutable::now()]);

            return $food;
        });
    }
}
