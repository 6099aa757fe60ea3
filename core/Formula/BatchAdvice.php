<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Salt\Basis;
use Tempesal\Core\Salt\SodiumChloride;

/**
 * What is to be said about a batch as its ledger tells it.
 */
final class BatchAdvice
{
    /** @return list<Advice> */
    public static function on(Ledger $ledger): array
    {
        $state = $ledger->state();
        $share = Strength::of($state)->share(Basis::OfEverything) ?? 0.0;
        $ferments = self::ferments($ledger);

        return array_values(array_filter([
            self::undissolved($ledger),
            $ferments && $share < SaltFloor::FERMENTING ? new Advice('below_floor', Weight::Careful, sprintf(
                'Only %s of everything is salt. Below %s the wrong microbes can win: salt is part of the safety. Lower the sodium later, by rinsing, draining or a smaller serving.',
                self::percent($share), self::percent(SaltFloor::FERMENTING),
            )) : null,
            $ferments && $share > SaltFloor::LARDER ? new Advice('larder_only', Weight::Careful, sprintf('%s of everything is larder strength: it will hardly ferment.', self::percent($share))) : null,
            $ferments && $share > SaltFloor::SLOW && $share <= SaltFloor::LARDER ? new Advice('slow', Weight::Note, sprintf('%s of everything ferments slowly.', self::percent($share))) : null,
            self::potassium($ledger) ? Advice::potassium() : null,
            in_array(Allergen::Egg, $state->allergens(), true) && $ferments ? Advice::rawEgg() : null,
            GarlicInOil::is($ledger) ? Advice::garlicInOil() : null,
            ! $state->live ? Advice::notLive() : null,
        ]));
    }

    /** Whether it was left to ferment: anything else is soaked, drained and dressed. */
    private static function ferments(Ledger $ledger): bool
    {
        foreach ($ledger->entries() as $entry) {
            if ($entry instanceof Soak && $entry->word === 'ferment') {
                return true;
            }
        }

        return false;
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

        return $worst < 0.05 ? null : new Advice('will_not_dissolve', Weight::Careful, sprintf(
            '%.1f g of the salt will not dissolve: water takes 35.9 g in 100 g at 20 °C. %.0f g of salt need %.0f g of water.',
            $worst, $salt, SodiumChloride::waterToDissolve($salt),
        ));
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

    private static function percent(float $share): string
    {
        return number_format($share * 100.0, 1).' %';
    }
}
