<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\HouseholdTransaction;
use App\Ledger\EntryReader;
use App\Models\Formula;
use App\Models\FormulaVersion;
use App\Support\InvalidInput;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Formula\Formula as Read;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Message\Message;

/**
 * Writes a formula down: a new one, or a new version of one that is there. Nothing is written that the core cannot
 * carry out.
 */
final readonly class SaveFormula
{
    public function __construct(private HouseholdTransaction $transaction) {}

    /**
     * @param  array<string, mixed>  $document
     * @param  string  $requestKey  the same key never writes a second formula
     */
    public function asNew(array $document, string $requestKey, string $path = 'document'): Formula
    {
        $read = self::check($document, $path);

        return ($this->transaction)(static function () use ($read, $requestKey): Formula {
            $there = Formula::query()->where('request_key', $requestKey)->where('name', $read->name)->first();
            if ($there !== null) {
                return $there;
            }
            $formula = Formula::create([
                'key' => null,
                'name' => $read->name,
                'version' => 1,
                'request_key' => $requestKey,
            ]);
            FormulaVersion::create([
                'formula_id' => $formula->id,
                'number' => 1,
                'document' => self::withoutKey($read->document),
                'request_key' => $requestKey,
            ]);

            return $formula;
        });
    }

    /**
     * Several at once, all or none.
     *
     * @param  list<mixed>  $documents
     * @return list<string> their ids
     */
    public function all(array $documents, string $requestKey): array
    {
        return ($this->transaction)(function () use ($documents, $requestKey): array {
            $ids = [];
            foreach ($documents as $i => $document) {
                $ids[] = $this->asNew(is_array($document) ? $document : [], $requestKey, "documents[{$i}]")->id;
            }

            return $ids;
        });
    }

    /**
     * @param  array<string, mixed>  $document
     * @param  int  $basedOn  the version that the cook had open; another one in between is not written over unseen
     */
    public function asVersion(string $formulaId, array $document, int $basedOn, string $requestKey): Formula
    {
        $read = self::check($document, 'document');

        return ($this->transaction)(static function () use ($formulaId, $read, $basedOn, $requestKey): Formula {
            $formula = Formula::query()->lockForUpdate()->findOrFail($formulaId);
            if (
                FormulaVersion::query()->where('formula_id', $formula->id)->where('request_key', $requestKey)->exists()
            ) {
                return $formula;
            }
            if ($formula->version !== $basedOn) {
                throw InvalidInput::at('basedOn', Message::of('errors.formula_changed', version: $formula->version));
            }
            FormulaVersion::create([
                'formula_id' => $formula->id,
                'number' => $basedOn + 1,
                'document' => self::withoutKey($read->document),
                'request_key' => $requestKey,
            ]);
            $formula->update(['name' => $read->name, 'version' => $basedOn + 1]);

            return $formula;
        });
    }

    /**
     * @param  array<string, mixed>  $document
     */
    public static function check(array $document, string $path): Read
    {
        try {
            $read = Read::read($document, EntryReader::pantry());
            FormulaAnswer::of($read);

            return $read;
        } catch (InvalidField $refusal) {
            throw InvalidInput::at($refusal->within($path)->path, $refusal->explanation());
        }
    }

    /**
     * The library's key belongs to the library's own row.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    private static function withoutKey(array $document): array
    {
        return array_diff_key($document, ['key' => '']);
    }
}
