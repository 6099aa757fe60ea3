<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Salt;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\VolumeUnit;
use Tempesal\Core\Salt\SaltDose;
use Tempesal\Core\Salt\StartingSalts;

/**
 * Weighs one levelled spoon of a salt. The band then is the scale's and no longer the salt's.
 */
final readonly class CalibrateSpoon
{
    /** What a level tablespoon of any salt can weigh. */
    private const BETWEEN_G = [2.0, 30.0];

    /** Refuses, in a sentence, what no salt can weigh. */
    public function __invoke(string $saltId, float $grams, VolumeUnit $spoon): Salt
    {
        return DB::transaction(static function () use ($saltId, $grams, $spoon): Salt {
            $salt = Salt::query()->lockForUpdate()->findOrFail($saltId);
            $perTablespoon = VolumeUnit::UsTablespoon->millilitres() / $spoon->millilitres();
            [$least, $most] = self::BETWEEN_G;
            if ($grams * $perTablespoon < $least || $grams * $perTablespoon > $most) {
                throw ValidationException::withMessages(['grams' => 'errors.spoon_weight']);
            }
            $salt->update([
                ...Salt::density()->write(
                    Band::around($grams, min($grams / 2.0, SaltDose::SCALE_HALF_STEP_G))->times($perTablespoon),
                ),
                'calibrated' => true,
            ]);

            return $salt;
        });
    }

    /** Goes back to what is known of the salt without weighing it. */
    public function forget(string $saltId): Salt
    {
        return DB::transaction(static function () use ($saltId): Salt {
            $salt = Salt::query()->lockForUpdate()->findOrFail($saltId);
            foreach (StartingSalts::all() as $start) {
                if ($start->id === $salt->key) {
                    $salt->update([...Salt::density()->write($start->gramsPerTablespoon), 'calibrated' => false]);
                }
            }

            return $salt;
        });
    }
}
