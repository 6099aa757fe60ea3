<?php

declare(strict_types=1);

namespace Tempesal\Core\Bench;

use Tempesal\Core\Advice\Advice;
use Tempesal\Core\Advice\BatchAdvice;
use Tempesal\Core\Advice\Severity;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Inverse\InverseQuestions;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\SodiumChloride;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\SaltedContents;
use Tempesal\Core\Method\SaltFloor;
use Tempesal\Core\Produce\PieceShape;

/**
 * What the bench says about a making.
 */
final class BenchAdvice
{
    /** @return list<Advice> heaviest first */
    public static function on(BenchSolution $solution): array
    {
        $all = array_values(
            array_filter([
                ...BatchAdvice::on($solution->finished, $solution->input->method),
                self::sodiumOutOfReach($solution),
                self::tooFull($solution),
                self::overRim($solution),
                self::juice($solution),
                self::hollow($solution),
                ...self::salt($solution),
            ]),
        );

        return Severity::sorted($all);
    }

    /** The serving cannot hold so little: the salt stays at the floor, and what else would bring it there is said. */
    private static function sodiumOutOfReach(BenchSolution $solution): ?Advice
    {
        if ($solution->unreachedMg === null) {
            return null;
        }
        $least = SaltedContents::of($solution->finished, $solution->input->method);
        $line = $least === null ? null : SaltFloor::of($least)->binding($least);
        $asked = ['sodiumMg' => $solution->unreachedMg, 'phase' => $solution->served()->value];
        $ways = [
            InverseQuestions::read(Fields::of(['question' => 'portion', ...$asked]))->answer($solution->finished)
                ->message,
        ];
        if ($solution->served() === Served::Pieces) {
            $ways[] = InverseQuestions::read(
                Fields::of(['question' => 'rinse_time', 'grams' => $solution->servingWeight()->value, ...$asked]),
            )->answer($solution->finished)->message;
        }

        return new Advice(
            'sodium_out_of_reach',
            Severity::Careful,
            $line === null
                ? Message::of(
                    'advice.sodium_out_of_reach',
                    grams: self::grams($solution->servingWeight()->value),
                    mg: round($solution->unreachedMg),
                    ways: Listed::sentences($ways),
                )
                : Message::of(
                    'advice.sodium_below_floor',
                    grams: self::grams($solution->servingWeight()->value),
                    mg: round($solution->unreachedMg),
                    ways: Listed::sentences($ways),
                    least: $line->text(),
                ),
        );
    }

    private static function tooFull(BenchSolution $solution): ?Advice
    {
        if ($solution->holdsTheFood()) {
            return null;
        }
        $fits = $solution->vegetableThatFits()->value;

        return new Advice(
            'too_full',
            Severity::Careful,
            $fits < 1.0
                ? Message::of('advice.no_room')
                : Message::of(
                    'advice.too_full',
                    fits: self::grams(floor($fits)),
                    over: self::grams(max(1.0, ceil($solution->vegetable()->value - $fits))),
                ),
        );
    }

    private static function overRim(BenchSolution $solution): ?Advice
    {
        $fits = $solution->settledFits();
        $shares = $solution->input->row()?->shares() ?? [];
        $over = 0.0;
        foreach ($fits as $i => $fit) {
            $over += $fit->overflow($solution->liquid()->times($shares[$i] ?? 1.0))->value;
        }

        return $over < 1.0 || !$solution->holdsTheFood()
            ? null
            : new Advice('overflow', Severity::Careful, Message::of('advice.overflow', ml: self::grams($over)));
    }

    private static function juice(BenchSolution $solution): ?Advice
    {
        $short = $solution->liquidShort();
        if ($short < 5.0) {
            return null;
        }
        $brine = $solution->state->phase(Phase::Brine);
        if (
            $solution->input->method->hasPouredBrine() ||
            $solution->input->method === Method::ReusedBrine ||
            $brine->waterG <= 0.0
        ) {
            return new Advice(
                'not_covered',
                Severity::Careful,
                Message::of('advice.not_covered', ml: self::grams($short)),
            );
        }
        $salt = ($short * SodiumChloride::gramsFor($brine->sodiumMg)) / $brine->waterG;

        return new Advice(
            'short_juice',
            Severity::Careful,
            Message::of(
                'advice.short_juice',
                ml: self::grams($short),
                salt: round($salt, 1),
                water: self::grams($short),
            ),
        );
    }

    private static function hollow(BenchSolution $solution): ?Advice
    {
        return $solution->input->vegetable->hollow && $solution->input->vegetable->shape === PieceShape::Whole
            ? new Advice('hollow', Severity::Careful, Message::of('advice.hollow'))
            : null;
    }

    /** @return list<Advice|null> */
    private static function salt(BenchSolution $solution): array
    {
        $salt = $solution->input->salt->product;
        if ($solution->salt->isZero()) {
            return [];
        }

        return [
            $salt->iodised ? new Advice('iodised', Severity::Note, Message::of('salt_note.iodised')) : null,
            $salt->antiCaking && !$salt->iodised
                ? new Advice('anti_caking', Severity::Note, Message::of('salt_note.anti_caking'))
                : null,
        ];
    }

    private static function grams(float $grams): float
    {
        return round($grams, $grams < 10.0 ? 1 : 0);
    }
}
