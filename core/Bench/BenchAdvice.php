<?php

declare(strict_types=1);

namespace Tempesal\Core\Bench;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Formula\Advice;
use Tempesal\Core\Formula\Method;
use Tempesal\Core\Formula\SaltFloor;
use Tempesal\Core\Formula\Weight;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Question\Questions;
use Tempesal\Core\Salt\Basis;
use Tempesal\Core\Salt\SaltNotes;
use Tempesal\Core\Salt\SodiumChloride;

/**
 * What the bench says about a making.
 */
final class BenchAdvice
{
    /** Below this share of its floor the salt is called short; the last tenth of a gram is forgiven. */
    private const FORGIVEN = 0.995;

    /** @return list<Advice> heaviest first */
    public static function on(Making $making): array
    {
        $all = array_values(array_filter([
            self::floor($making),
            self::sodiumOutOfReach($making),
            self::highMark($making),
            self::undissolved($making),
            self::tooFull($making),
            self::overRim($making),
            self::juice($making),
            self::hollow($making),
            in_array(Allergen::Egg, $making->state->allergens(), true) ? Advice::rawEgg() : null,
            $making->sheet->method->isFerment() && ! $making->state->live ? Advice::notLive() : null,
            ...self::salt($making),
        ]));
        $order = [Weight::Stop->value => 0, Weight::Careful->value => 1, Weight::Note->value => 2];
        usort($all, static fn (Advice $a, Advice $b): int => $order[$a->weight->value] <=> $order[$b->weight->value]);

        return $all;
    }

    private static function floor(Making $making): ?Advice
    {
        $method = $making->sheet->method;
        $vegetable = $making->sheet->vegetable;
        $checks = match ($method) {
            Method::PouredBrine => [[Basis::OfWater, $vegetable->brineFloor], [Basis::OfEverything, SaltFloor::FERMENTING]],
            Method::EquilibriumBrine => [[Basis::OfEverything, max(SaltFloor::FERMENTING, $vegetable->brineFloor / 2.0)]],
            Method::Transform => [],
            default => [SaltFloor::of($method), ...($method->isDressed() ? [[Basis::OfEverything, SaltFloor::FERMENTING]] : [])],
        };
        foreach ($checks as [$basis, $least]) {
            $share = $making->strength($basis);
            if ($share === null || $share >= $least * self::FORGIVEN) {
                continue;
            }

            return new Advice('below_floor', Weight::Careful, $method->isFerment()
                ? sprintf(
                    'Only %s %s. Below %s %s the wrong microbes can win: salt is part of the safety. Lower the sodium later, by rinsing, draining or a smaller serving.',
                    self::percent($share), $basis->label(), self::percent($least), $basis->label(),
                )
                : sprintf('Only %s %s. A quick pickle is made in %s or more; weaker, treat it as fresh food.', self::percent($share), $basis->label(), self::percent($least)));
        }

        return null;
    }

    /** The serving cannot hold so little: the salt stays at the floor, and what else would bring it there is said. */
    private static function sodiumOutOfReach(Making $making): ?Advice
    {
        if ($making->unreachedMg === null) {
            return null;
        }
        [$basis, $floor] = SaltFloor::of($making->sheet->method);
        $asked = ['sodiumMg' => $making->unreachedMg, 'phase' => $making->servedPhase()->value];
        $ways = [Questions::read(Fields::of(['question' => 'portion', ...$asked]))->answer($making->finished)->sentence];
        if ($making->servedPhase() === Phase::Pieces) {
            $ways[] = Questions::read(Fields::of(['question' => 'rinse_time', 'grams' => $making->servingWeight()->value, ...$asked]))->answer($making->finished)->sentence;
        }

        return new Advice('sodium_out_of_reach', Weight::Careful, sprintf(
            'A serving of %s g cannot be brought to %s mg by less salt: below %s %s the wrong microbes can win, so the salt stays there. What would: %s',
            self::grams($making->servingWeight()->value), number_format($making->unreachedMg), self::percent($floor), $basis->label(), implode(' Or: ', $ways),
        ));
    }

    private static function highMark(Making $making): ?Advice
    {
        $method = $making->sheet->method;
        if (! $method->isFerment() || $method->isDone()) {
            return null;
        }
        $share = $method->isDressed() ? Strength::of($making->state)->share(Basis::OfEverything) ?? 0.0 : $making->strength(Basis::OfEverything) ?? 0.0;

        return match (true) {
            $share > SaltFloor::LARDER => new Advice('larder_only', Weight::Careful, sprintf('%s of everything is larder strength: it will hardly ferment.', self::percent($share))),
            $share > SaltFloor::SLOW => new Advice('slow', Weight::Note, sprintf('%s of everything ferments slowly.', self::percent($share))),
            default => null,
        };
    }

    private static function undissolved(Making $making): ?Advice
    {
        if (! $making->sheet->method->hasPouredBrine()) {
            return null;
        }
        $salt = $making->salt->value;
        $left = SodiumChloride::undissolved($salt, $making->work->water->value);

        return $left < 0.05 ? null : new Advice('will_not_dissolve', Weight::Careful, sprintf(
            '%s g of the salt will not dissolve: water takes 35.9 g in 100 g at 20 °C. %s g of salt need %s g of water.',
            self::grams($left), self::grams($salt), self::grams(SodiumChloride::waterToDissolve($salt)),
        ));
    }

    private static function tooFull(Making $making): ?Advice
    {
        if ($making->holdsTheFood()) {
            return null;
        }
        $fits = $making->vegetableThatFits()->value;

        return new Advice('too_full', Weight::Stop, $fits < 1.0
            ? 'No room is left in this jar under its headspace and weight. Choose a larger jar.'
            : sprintf(
                'The jar is too small for the food: %s g fit under the headspace, %s g are over. Choose a larger jar, or fill %d of these.',
                self::grams(floor($fits)), self::grams(max(1.0, ceil($making->vegetable()->value - $fits))),
                max(2, count($making->sheet->jars) * (int) ceil($making->vegetable()->value / $fits)),
            ));
    }

    private static function overRim(Making $making): ?Advice
    {
        $fits = $making->settledFits();
        $shares = $making->sheet->row()?->shares() ?? [];
        $over = 0.0;
        foreach ($fits as $i => $fit) {
            $over += $fit->overflow($making->liquid()->times($shares[$i] ?? 1.0))->value;
        }

        return $over < 1.0 || ! $making->holdsTheFood() ? null : new Advice('overflow', Weight::Careful, sprintf(
            'About %s ml would run over the rim. Take less water, or leave it out and top up later.', self::grams($over),
        ));
    }

    private static function juice(Making $making): ?Advice
    {
        $short = $making->liquidShort();
        if ($short < 5.0) {
            return null;
        }
        $brine = $making->state->phase(Phase::Brine);
        if ($making->sheet->method->hasPouredBrine() || $making->sheet->method === Method::ReusedBrine || $brine->waterG <= 0.0) {
            return new Advice('not_covered', Weight::Careful, sprintf('About %s ml of brine are missing to cover the food.', self::grams($short)));
        }
        $salt = $short * SodiumChloride::gramsFor($brine->sodiumMg) / $brine->waterG;

        return new Advice('short_juice', Weight::Careful, sprintf(
            'Its own juice may fall about %s ml short of covering. If it does after a day, add brine of the same strength: %s g salt in %s g water.',
            self::grams($short), number_format($salt, 1), self::grams($short),
        ));
    }

    private static function hollow(Making $making): ?Advice
    {
        return $making->sheet->vegetable->hollow && $making->sheet->vegetable->shape === PieceShape::Whole
            ? new Advice('hollow', Weight::Careful, 'Split or pierce each one: air inside keeps the brine out and lifts it to the top.')
            : null;
    }

    /** @return list<Advice|null> */
    private static function salt(Making $making): array
    {
        $salt = $making->sheet->salt;
        if ($making->salt->isZero()) {
            return [];
        }

        return [
            $salt->potassium ? Advice::potassium() : null,
            $salt->iodised ? new Advice('iodised', Weight::Note, SaltNotes::IODISED) : null,
            $salt->antiCaking && ! $salt->iodised ? new Advice('anti_caking', Weight::Note, SaltNotes::ANTI_CAKING) : null,
        ];
    }

    private static function percent(float $share): string
    {
        return number_format($share * 100.0, 1).' %';
    }

    private static function grams(float $grams): string
    {
        return number_format($grams, $grams < 10.0 ? 1 : 0);
    }
}
