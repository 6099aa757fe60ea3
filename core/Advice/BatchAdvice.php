<?php

declare(strict_types=1);

namespace Tempesal\Core\Advice;

use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Rinse;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Hazards;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\SaltedContents;

/**
 * What is to be said about a batch as its ledger tells it.
 */
final class BatchAdvice
{
    /**
     * @param  Method|null  $method  by which it was made; null where nobody said, so that only what its entries show is
     *     told
     * @param  Ledger|null  $history  with what is still to be done, where the batch is looked at on its way
     * @return list<Advice> heaviest first
     */
    public static function on(Ledger $ledger, ?Method $method = null, ?Ledger $history = null): array
    {
        $state = $ledger->state();
        $method ??= SaltedContents::methodOf($ledger);
        $hazards = Hazards::of($ledger, $method);
        $all = array_values(
            array_filter([
                ...SaltAdvice::on($history ?? $ledger, $method, $history === null ? null : $state),
                self::undissolved($ledger),
                self::unknownCut($ledger),
                $hazards->hasEgg ? Advice::rawEgg() : null,
                $hazards->hasPlantsInOil ? Advice::plantsInOil() : null,
                $hazards->isLowAcidPuree ? Advice::lowAcidPuree() : null,
                self::potassium($ledger) ? Advice::potassium() : null,
                $method->isFerment() && !$state->live ? Advice::notLive() : null,
            ]),
        );

        return Severity::sorted($all);
    }

    /** Salt moves into a food and out of it by how it is cut; where nobody said so, the numbers are a guess. */
    private static function unknownCut(Ledger $ledger): ?Advice
    {
        $unknown = [];
        foreach ($ledger->entries() as $entry) {
            $moves =
                ($entry instanceof Rinse && $entry->piece === null) ||
                ($entry instanceof Soak && $entry->piece === null && $entry->duration !== null && !$entry->even);
            if ($moves && $unknown !== []) {
                return new Advice(
                    'cut_unknown',
                    Severity::Careful,
                    Message::of('advice.cut_unknown', foods: Listed::all($unknown), count: count($unknown)),
                );
            }
            if ($entry instanceof Add && $entry->into === Phase::Pieces && !$entry->ingredient->isCutKnown) {
                $unknown[] = $entry->ingredient->label();
            }
        }

        return null;
    }

    private static function undissolved(Ledger $ledger): ?Advice
    {
        $worst = 0.0;
        $salt = 0.0;
        $trail = $ledger->trail();
        foreach ($ledger->entries() as $i => $entry) {
            [$left, $there] = self::left($trail[$i - 1] ?? BatchState::empty());
            if ($entry instanceof Soak && $left > $worst) {
                [$worst, $salt] = [$left, $there];
            }
        }

        return $worst < 0.05
            ? null
            : new Advice(
                'will_not_dissolve',
                Severity::Careful,
                Message::of(
                    'advice.will_not_dissolve',
                    rest: round($worst, 1),
                    salt: round($salt, 0),
                    water: round(SodiumChloride::waterToDissolve($salt), 0),
                ),
            );
    }

    /** @return array{float, float} grams of salt that the brine cannot hold, and of salt in it */
    private static function left(BatchState $state): array
    {
        $brine = $state->phase(Phase::Brine);
        $salt = SodiumChloride::gramsFor($brine->sodiumMg);

        return [SodiumChloride::undissolved($salt, $brine->waterG), $salt];
    }

    private static function potassium(Ledger $ledger): bool
    {
        foreach ($ledger->entries() as $entry) {
            if ($entry instanceof Salt && $entry->dose->product->potassium) {
                return true;
            }
        }

        return false;
    }
}
