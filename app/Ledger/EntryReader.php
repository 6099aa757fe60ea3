<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\Batch;
use App\Models\Ingredient;
use App\Models\Salt;
use App\Support\InvalidInput;
use Carbon\CarbonImmutable;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Document\Pantry;
use Tempesal\Core\Formula\FormulaStep;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Salt\SaltProduct;

/**
 * Reads documented entries for a batch of the kitchen. Foods and salts may be called by their id or key; a starter from
 * another jar is filled with that jar's brine as it is at that moment.
 */
final readonly class EntryReader
{
    /** Entries that have a door of their own, because they write more than this ledger. */
    private const ELSEWHERE = [
        'serve' => 'errors.entry_serve',
        'give' => 'errors.entry_give',
    ];

    /**
     * @param  array<string, mixed>  $documented
     * @return non-empty-list<Entry>
     *
     * @throws ValidationException
     */
    public function entries(array $documented, Batch $batch, ?Batch $lender, CarbonImmutable $moment): array
    {
        try {
            if ($lender !== null) {
                $documented = self::fillStarter($documented, $batch, $lender, $moment);
            }
            if (
                ($documented['kind'] ?? null) === 'add' &&
                !isset($documented['into']) &&
                Ledgers::of($batch, $moment)->state()->isOnePhase()
            ) {
                $documented['into'] = Phase::Sauce->value;
            }
            $fields = Fields::of(self::pantry()->fill($documented, 'entry'), 'entry');
            $kind = $fields->text('kind');
            if (isset(self::ELSEWHERE[$kind])) {
                throw new InvalidField('entry.kind', new Message(self::ELSEWHERE[$kind]));
            }
            $entries = FormulaStep::expand($fields);
            $fields->refuseUnread();

            return $entries;
        } catch (InvalidField $refusal) {
            throw InvalidInput::at($refusal->path, $refusal->explanation());
        }
    }

    /** The kitchen's own foods and salts by key and by id. */
    public static function pantry(): Pantry
    {
        $foods = ['water' => \Tempesal\Core\Produce\Ingredient::water()->toArray()];
        foreach (Ingredient::query()->withoutGlobalScope('present')->get() as $food) {
            $foods[$food->key] = $foods[$food->id] = $food->produce()->toArray();
        }
        $salts = ['pure' => SaltProduct::pure()->toArray()];
        foreach (Salt::query()->withoutGlobalScope('present')->get() as $salt) {
            $salts[$salt->key] = $salts[$salt->id] = $salt->product()->toArray();
        }

        return new Pantry($foods, $salts);
    }

    /**
     * @param  array<string, mixed>  $documented
     * @return array<string, mixed>
     *
     * @throws InvalidField
     */
    private static function fillStarter(array $documented, Batch $batch, Batch $lender, CarbonImmutable $moment): array
    {
        $path = match (true) {
            isset($documented['fromBatch']) => null,
            isset($documented['starter']) => 'starter',
            default => 'brine',
        };
        $at = $path === null ? 'entry' : "entry.{$path}";
        if ($lender->id === $batch->id) {
            throw new InvalidField("{$at}.fromBatch", Message::of('errors.feeds_itself'));
        }
        if (!$lender->isFoodAt($moment) && $lender->method->isFood()) {
            throw new InvalidField(
                "{$at}.fromBatch",
                Message::of('errors.not_food_yet', name: $lender->name, stage: $lender->stage(false)->label()),
            );
        }
        if ($moment->lessThan($lender->started_at)) {
            throw new InvalidField("{$at}.fromBatch", Message::of('errors.lender_later', name: $lender->name));
        }
        try {
            $liquid = Ledgers::lent($lender, $moment)->toArray();
        } catch (NotEnough) {
            throw new InvalidField("{$at}.fromBatch", Message::of('errors.lender_empty', name: $lender->name));
        }
        if ($path === null) {
            return [...$documented, 'liquid' => $liquid];
        }
        $part = $documented[$path];

        return [...$documented, $path => [...is_array($part) ? $part : [], 'liquid' => $liquid]];
    }
}
