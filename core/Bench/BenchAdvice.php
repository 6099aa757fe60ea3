<?php

declare(strict_types=1);

namespace Tempesal\Core\Bench;

use Tempesal\Core\Advice\Advice;
use Tempesal\Core\Advice\BatchAdvice;
use Tempesal\Core\Advice\Severity;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\SaltedContents;
use Tempesal\Core\Method\SaltFloor;
use Tempesal\Core\Produce\PieceShape;
use Tempesal\Core\Question\Questions;
use Tempesal\Core\Salt\SaltNotes;

/**
 * What the bench says about a making.
 */
final class BenchAdvice
{
    /** @return list<Advice> heaviest first */
    public static function on(Making $making): array
    {
        $all = array_values(array_filter([
            ...BatchAdvice::on($making->finished, $making->sheet->method),
            self::sodiumOutOfReach($making),
            self::tooFull($making),
            self::overRim($making),
            self::juice($making),
            self::hollow($making),
            ...self::salt($making),
        ]));

        return Severity::sorted($all);
    }

    /** The serving cannot hold so little: the salt stays at the floor, and what else would bring it there is said. */
    private static function sodiumOutOfReach(Making $making): ?Advice
    {
        if ($making->unreachedMg === null) {
            return null;
        }
        $least = SaltedContents::of($making->finished, $making->sheet->method);
        $line = $least === null ? null : SaltFloor::of($least)->binding($least);
        $asked = ['sodiumMg' => $making->unreachedMg, 'phase' => $making->servedPhase()->value];
        $ways = [Questions::read(Fields::of(['question' => 'portion', ...$asked]))->answer($making->finished)->sentence];
        if ($making->servedPhase() === Phase::Pieces) {
            $ways[] = Questions::read(Fields::of(['question' => 'rinse_time', 'grams' => $making->servingWeight()->value, ...$asked]))->answer($making->finished)->sentence;
        }

        return new Advice('sodium_out_of_reach', Severity::Careful, sprintf(
            'Less salt cannot bring a serving of %s g to %s mg%s. What would: %s',
            self::grams($making->servingWeight()->value), number_format($making->unreachedMg),
            $line === null ? '' : sprintf(': it stays at %s, the least that is safe', $line->text()), implode(' Or: ', $ways),
        ));
    }

    private static function tooFull(Making $making): ?Advice
    {
        if ($making->holdsTheFood()) {
            return null;
        }
        $fits = $making->vegetableThatFits()->value;

        return new Advice('too_full', Severity::Stop, $fits < 1.0
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

        return $over < 1.0 || ! $making->holdsTheFood() ? null : new Advice('overflow', Severity::Careful, sprintf(
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
            return new Advice('not_covered', Severity::Careful,
                sprintf('About %s ml of brine are missing to cover the food.', self::grams($short)));
        }
        $salt = $short * SodiumChloride::gramsFor($brine->sodiumMg) / $brine->waterG;

        return new Advice('short_juice', Severity::Careful, sprintf(
            'Its own juice may fall about %s ml short of covering. If it does after a day, add brine of the same strength: %s g salt in %s g water.',
            self::grams($short), number_format($salt, 1), self::grams($short),
        ));
    }

    private static function hollow(Making $making): ?Advice
    {
        return $making->sheet->vegetable->hollow && $making->sheet->vegetable->shape === PieceShape::Whole
            ? new Advice('hollow', Severity::Careful, 'Split or pierce each one: air inside keeps the brine out and lifts it to the top.')
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
            $salt->iodised ? new Advice('iodised', Severity::Note, SaltNotes::IODISED) : null,
            $salt->antiCaking && ! $salt->iodised ? new Advice('anti_caking', Severity::Note, SaltNotes::ANTI_CAKING) : null,
        ];
    }

    private static function grams(float $grams): string
    {
        return number_format($grams, $grams < 10.0 ? 1 : 0);
    }
}
