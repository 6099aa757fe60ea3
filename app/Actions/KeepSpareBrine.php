<?php

declare(strict_types=1);

namespace App\Actions;

use App\Household\HouseholdTransaction;
use App\Language\Words;
use App\Ledger\Ledgers;
use App\Models\Batch;
use App\Support\InvalidInput;
use App\Support\WhenDone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Entry\TopUp;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\StarterTransfer;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Place;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Salt\SaltProduct;

/**
 * Keeps brine by itself, in the fridge: what was mixed and not poured, or some of a jar's own. It is no food; it tops up
 * other jars, fills a bag, starts the next one.
 */
final readonly class KeepSpareBrine
{
    private const COLOUR = '#c9d3c8';

    /** By how much more than all of it is still all of it, as a share. */
    private const ALL_OF_IT = 0.01;

    public function __construct(private LedgerWriter $ledger, private HouseholdTransaction $transaction) {}

    /**
     * What was left over when a jar was filled. Inside the transaction in which it was.
     *
     * @param  float  $strength  salt / (salt + water), 0 to 1
     */
    public function ofMix(
        Batch $filled,
        string $name,
        Grams $grams,
        float $strength,
        SaltProduct $salt,
        CarbonImmutable $at,
    ): Batch {
        return $this->write($filled, $name, $grams, $at, null, new TopUp($grams, $strength, $salt));
    }

    /**
     * Some of a jar's own brine, with what lives in it.
     *
     * @param  string  $requestKey  the same key never keeps it twice
     *
     * @throws ValidationException where there is less, or the jar has no brine
     */
    public function fromJar(string $batchId, Grams $grams, string $requestKey): Batch
    {
        return ($this->transaction)(function () use ($batchId, $grams, $requestKey): Batch {
            $there = Batch::query()->where('request_key', $requestKey)->first();
            if ($there !== null) {
                return $there;
            }

            return $this->ofLocked($this->ledger->lock($batchId), $grams, WhenDone::now(), $requestKey);
        });
    }

    /**
     * The same, inside the transaction in which the jar is worked on.
     *
     * @throws ValidationException
     */
    public function ofLocked(Batch $lender, Grams $grams, CarbonImmutable $at, ?string $requestKey = null): Batch
    {
        $ledger = Ledgers::of($lender, $at);
        if ($ledger->state()->isOnePhase()) {
            throw InvalidInput::at('grams', Message::of('errors.no_brine_to_keep'));
        }
        // Salt moves into the food while one looks: who wants all of it takes what is there.
        $there = $ledger->state()->phase(Phase::Brine)->weightG();
        if ($grams->value > $there && $grams->value <= $there * (1.0 + self::ALL_OF_IT)) {
            $grams = Grams::of($there * (1.0 - BatchState::ROUNDING));
        }
        try {
            $kept = $this->write(
                $lender,
                $lender->name,
                $grams,
                $at,
                $requestKey,
                new Starter(
                    StarterTransfer::from($lender->id, $lender->name, $ledger)->liquid(),
                    $grams,
                    Phase::Brine,
                    $lender->id,
                ),
            );
            $this->ledger->lend($lender, $at, $grams, $kept);
        } catch (NotEnough $refusal) {
            throw InvalidInput::at('grams', $refusal->explanation());
        }

        return $kept;
    }

    private function write(
        Batch $of,
        string $name,
        Grams $grams,
        CarbonImmutable $at,
        ?string $requestKey,
        Entry $entry,
    ): Batch {
        $profile = Method::SpareBrine->profile();
        $batch = Batch::create([
            'jar_id' => null,
            'name' => mb_substr(Words::here()->say(Message::of('batch.spare_brine', name: $name)), 0, 120),
            'method' => Method::SpareBrine,
            'shape' => PieceShape::Pulp,
            'colour' => self::COLOUR,
            'density_g_per_ml' => 1.0,
            'headspace_mm' => $profile->storage->headspace->value,
            'weight_ml' => 0.0,
            'serving_g' => $profile->eaten->portion->value,
            'bench_input' => ['grams' => $grams->value, 'of' => $of->id],
            'strengths' => [],
            'place' => Place::Fridge,
            'started_in' => Place::Fridge,
            'likeness' => Method::SpareBrine->value,
            'started_at' => $at,
            'request_key' => $requestKey ?? (string) Str::ulid(),
        ])->load(['entries', 'jar']);
        $this->ledger->append($batch, $at, $entry);
        $this->ledger->check($batch);

        return $batch;
    }
}
