<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\HouseholdTransaction;
use App\Models\Batch;
use App\Models\HoldDown;
use App\Models\Jar;
use App\Support\InvalidInput;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Message\Message;

/**
 * Puts a batch into another jar, under another cover or hold-down. The ledger stays as it is.
 */
final readonly class CloseJar
{
    /** Fields of the request by the columns that they fill as they are. */
    private const AS_THEY_ARE = ['headspace_mm' => 'headspaceMm', 'cover' => 'cover', 'has_saucer' => 'hasSaucer'];

    public function __construct(private LedgerWriter $ledger, private HouseholdTransaction $transaction) {}

    /**
     * @param  array<string, mixed>  $asked  only what is to change
     *
     * @throws ValidationException where there is no such jar or hold-down, or none of them is free
     */
    public function __invoke(string $batchId, array $asked): void
    {
        ($this->transaction)(function () use ($batchId, $asked): void {
            $batch = $this->ledger->lock($batchId);
            $columns = [];
            if (array_key_exists('jarId', $asked) && $asked['jarId'] !== $batch->jar_id) {
                $jar =
                    $asked['jarId'] === null
                        ? null
                        : Jar::query()->where('id', $asked['jarId'])->first() ??
                            throw InvalidInput::at('jarId', Message::of('errors.no_such_jar'));
                FillJars::claim(
                    $jar === null ? [] : [$jar],
                    ($asked['hasOneMore'] ?? false) === true,
                    except: $batchId,
                );
                $columns['jar_id'] = $jar?->id;
            }
            if (array_key_exists('holdDownId', $asked)) {
                $holdDown =
                    $asked['holdDownId'] === null
                        ? null
                        : HoldDown::query()->where('id', $asked['holdDownId'])->first() ??
                            throw InvalidInput::at('holdDownId', Message::of('errors.no_such_hold_down'));
                $columns['hold_down'] = $holdDown?->name;
                $columns['weight_ml'] = $holdDown->volume_ml ?? 0.0;
            }
            foreach (self::AS_THEY_ARE as $column => $field) {
                if (array_key_exists($field, $asked)) {
                    $columns[$column] = $asked[$field];
                }
            }
            $batch->update($columns);
        });
    }
}
