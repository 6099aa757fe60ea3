<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

use LogicException;
use Tempesal\Core\Advice\Advice;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\ShelfLife;

/**
 * The rules by which a jar is judged: common practice, no source, always the stricter one where practice differs. That
 * visible mould means throwing the jar out follows public food-safety advice
 * (USDA Food Safety and Inspection Service on moulds in moist and soft foods; from memory).
 */
final class CheckRules
{
    private const THROW_OUT = 'check_do.throw_out';

    private const MOULD = 'check_caution.mould';

    private const NO_TASTE = 'check_caution.no_taste';

    /** A ferment that is not sour after so many days at 21 °C does not get there by itself. */
    private const SOUR_BY_DAYS = 7.0;

    /** A ferment stirs by then. */
    private const STIRS_BY_DAYS = 4.0;

    /** Until then live brine can still start it; later what lies raw is only getting worse. */
    private const RESCUE_BEFORE_DAYS = 5.0;

    /** Hours out of the fridge after which a low-acid purée is asked for its pH: common practice, no source. */
    private const PUREE_HOURS = 24.0;

    /** Hours in the warm after which milk that is still sweet has not been taken over: common practice, no source. */
    private const MILK_HOURS = 30.0;

    /** @return list<CheckRule> the strictest first */
    public static function all(): array
    {
        return [...self::doNotEat(), ...self::wait(), ...self::fineDo(), ...self::fine()];
    }

    /** @return list<CheckRule> */
    private static function doNotEat(): array
    {
        return [
            new CheckRule(
                'fuzz_white',
                [Finding::FuzzWhite],
                Verdict::DoNotEat,
                'check_because.fuzz_white',
                self::THROW_OUT,
                self::MOULD,
            ),
            new CheckRule(
                'fuzz_coloured',
                [Finding::FuzzColoured],
                Verdict::DoNotEat,
                'check_because.fuzz_coloured',
                self::THROW_OUT,
                self::MOULD,
            ),
            new CheckRule(
                'pink',
                [Finding::SpotsPink],
                Verdict::DoNotEat,
                'check_because.pink',
                self::THROW_OUT,
                self::NO_TASTE,
                static fn(CheckedJar $jar, array $found): bool => !self::isOfFood($jar, $found, Looks::Reddens),
            ),
            new CheckRule(
                'black',
                [Finding::SpotsBlack],
                Verdict::DoNotEat,
                'check_because.black',
                self::THROW_OUT,
                self::MOULD,
                static fn(CheckedJar $jar, array $found): bool => !self::isOfFood($jar, $found, Looks::Specked),
            ),
            new CheckRule(
                'insects',
                [Finding::Insects],
                Verdict::DoNotEat,
                'check_because.insects',
                self::THROW_OUT,
                'check_caution.insects',
            ),
            new CheckRule(
                'rotten',
                [Finding::SmellRotten],
                Verdict::DoNotEat,
                'check_because.rotten',
                self::THROW_OUT,
                self::NO_TASTE,
            ),
            new CheckRule(
                'slime',
                [Finding::Slimy],
                Verdict::DoNotEat,
                'check_because.slime',
                self::THROW_OUT,
                self::NO_TASTE,
                static fn(CheckedJar $jar, array $found): bool => !self::isOfFood($jar, $found, Looks::Slips),
            ),
            new CheckRule(
                'ropy',
                [Finding::BrineRopy],
                Verdict::DoNotEat,
                'check_because.ropy',
                self::THROW_OUT,
                self::NO_TASTE,
                static fn(CheckedJar $jar, array $found): bool => !self::isOfFood($jar, $found, Looks::Slips),
            ),
            new CheckRule(
                'odd_colour',
                [Finding::ColourOdd],
                Verdict::DoNotEat,
                'check_because.odd_colour',
                self::THROW_OUT,
                self::NO_TASTE,
                static fn(CheckedJar $jar, array $found): bool => !self::isOfFood($jar, $found, Looks::Reddens),
            ),
            new CheckRule(
                'mush_off',
                [Finding::Mushy, Finding::SmellUnsure],
                Verdict::DoNotEat,
                'check_because.mush_off',
                self::THROW_OUT,
                self::NO_TASTE,
            ),
            new CheckRule(
                'dry_unsure',
                [Finding::AboveDry, Finding::TopUnsure],
                Verdict::DoNotEat,
                'check_because.dry_unsure',
                self::THROW_OUT,
                self::MOULD,
            ),
            new CheckRule(
                'fizz_unfermented',
                [Finding::Fizz],
                Verdict::DoNotEat,
                'check_because.fizz_unfermented',
                self::THROW_OUT,
                self::NO_TASTE,
                static fn(CheckedJar $jar): bool => !$jar->isFermenting(),
            ),
            new CheckRule(
                'bulge_unfermented',
                [Finding::LidBulging],
                Verdict::DoNotEat,
                'check_because.bulge_unfermented',
                'check_do.bulge_unfermented',
                'check_caution.bulge_unfermented',
                static fn(CheckedJar $jar): bool => !$jar->isFermenting() && $jar->method->isMade(),
            ),
            new CheckRule(
                'bulge_bought',
                [Finding::LidBulging],
                Verdict::DoNotEat,
                'check_because.bulge_bought',
                'check_do.bulge_bought',
                'check_caution.bulge_bought',
                static fn(CheckedJar $jar): bool => !$jar->isFermenting() && !$jar->method->isMade(),
            ),
            new CheckRule(
                'cloudy_quick',
                [Finding::BrineCloudy],
                Verdict::DoNotEat,
                'check_because.cloudy_quick',
                self::THROW_OUT,
                self::NO_TASTE,
                static fn(CheckedJar $jar): bool => $jar->method === Method::QuickSaltPickle,
            ),
            new CheckRule(
                'kept_too_long',
                [],
                Verdict::DoNotEat,
                'check_because.kept_too_long',
                self::THROW_OUT,
                null,
                static fn(CheckedJar $jar): bool => $jar->hasKeptTooLong(),
            ),
            new CheckRule(
                'egg_warm',
                [],
                Verdict::DoNotEat,
                'check_because.egg_warm',
                self::THROW_OUT,
                Advice::RAW_EGG,
                static fn(CheckedJar $jar): bool => $jar->hazards->hasEgg &&
                    $jar->warmHours > ShelfLife::EGG_LONGEST_WARM_HOURS,
            ),
            new CheckRule(
                'egg_broken',
                [Finding::Broken],
                Verdict::DoNotEat,
                'check_because.egg_broken',
                self::THROW_OUT,
                Advice::RAW_EGG,
                static fn(CheckedJar $jar, array $found): bool => $jar->hazards->hasEgg &&
                    !self::brokeInMaking($jar, $found),
            ),
            new CheckRule(
                'never_soured',
                [],
                Verdict::DoNotEat,
                'check_because.never_soured',
                self::THROW_OUT,
                'check_caution.never_soured',
                static fn(CheckedJar $jar): bool => self::shouldBeSour($jar) &&
                    $jar->ph !== null &&
                    !$jar->isReadSour(),
            ),
            new CheckRule(
                'never_started',
                [Finding::SmellRaw],
                Verdict::DoNotEat,
                'check_because.never_started',
                self::THROW_OUT,
                self::NO_TASTE,
                static fn(CheckedJar $jar, array $found): bool => self::shouldBeSour($jar) &&
                    $jar->ph === null &&
                    $jar->hasSoured !== true &&
                    array_filter($found, static fn(Finding $sign): bool => in_array($sign, Finding::ofLife(), true)) ===
                        [],
            ),
            new CheckRule(
                'tasted_not_sour',
                [],
                Verdict::DoNotEat,
                'check_because.tasted_not_sour',
                self::THROW_OUT,
                self::NO_TASTE,
                static fn(CheckedJar $jar): bool => self::shouldBeSour($jar) &&
                    $jar->ph === null &&
                    $jar->hasSoured === false,
            ),
            self::gasInMilk('gas_in_milk', Finding::LidBulging),
            self::gasInMilk('hiss_in_milk', Finding::LidHisses),
            new CheckRule(
                'milk_never_set',
                [Finding::SmellRaw],
                Verdict::DoNotEat,
                'check_because.milk_never_set',
                self::THROW_OUT,
                self::NO_TASTE,
                static fn(CheckedJar $jar): bool => $jar->isMilk() &&
                    $jar->warmHours > self::MILK_HOURS &&
                    !$jar->isReadSour(),
            ),
            new CheckRule(
                'milk_not_acid',
                [],
                Verdict::DoNotEat,
                'check_because.milk_never_set',
                self::THROW_OUT,
                self::NO_TASTE,
                static fn(CheckedJar $jar): bool => $jar->isMilk() &&
                    $jar->warmHours > self::MILK_HOURS &&
                    $jar->ph !== null &&
                    !$jar->isReadSour(),
            ),
            new CheckRule(
                'puree_not_acid',
                [],
                Verdict::DoNotEat,
                'check_because.puree_not_acid',
                self::THROW_OUT,
                self::NO_TASTE,
                static fn(CheckedJar $jar): bool => self::isPureeOut($jar) && $jar->ph !== null && !$jar->isReadSour(),
            ),
        ];
    }

    /** A culture without yeasts makes no gas: what does came from somewhere else. */
    private static function gasInMilk(string $id, Finding $sign): CheckRule
    {
        return new CheckRule(
            $id,
            [$sign],
            Verdict::DoNotEat,
            'check_because.gas_in_milk',
            self::THROW_OUT,
            self::NO_TASTE,
            static fn(CheckedJar $jar): bool => $jar->isStillMilk(),
        );
    }

    /** Whether a ferment has had twice the time it takes to sour. */
    private static function shouldBeSour(CheckedJar $jar): bool
    {
        return $jar->isFermenting() && $jar->ripenedDays > 2.0 * self::SOUR_BY_DAYS;
    }

    private static function growsMother(CheckedJar $jar): bool
    {
        return $jar->method === Method::MilkAndSweet && $jar->explains(Looks::GrowsMother);
    }

    private static function isPureeOut(CheckedJar $jar): bool
    {
        return $jar->hazards->isLowAcidPuree && $jar->warmHours > self::PUREE_HOURS;
    }

    /**
     * Whether the food itself is what was found, as the cook says who was asked; otherwise the strict rule stands.
     *
     * @param  list<Finding>  $found
     */
    private static function isOfFood(CheckedJar $jar, array $found, Looks $look): bool
    {
        [$is, $isNot] = match ($look) {
            Looks::Reddens => [Finding::PinkOfFood, Finding::PinkLying],
            Looks::Specked => [Finding::SpecksOfFood, Finding::SpecksGrow],
            Looks::Slips => [Finding::SlipOfFood, Finding::SlipNew],
            Looks::Sulphurous => [Finding::SmellSulphur, Finding::SmellRotten],
            Looks::GrowsMother, Looks::Foams => throw new LogicException('It is not asked about.'),
        };

        return $jar->explains($look) && in_array($is, $found, true) && !in_array($isNot, $found, true);
    }

    /**
     * Whether something was found that the food may explain.
     *
     * @param  list<Finding>  $found
     */
    private static function isAsked(string $code, CheckedJar $jar, array $found): bool
    {
        return array_any(
            CheckQuestion::after($jar, $found),
            static fn(CheckQuestion $question): bool => $question->code === $code,
        );
    }

    /** Cabbages and onions give off sulphur while they start; later it should be gone. */
    private static function isSulphurOfFood(CheckedJar $jar): bool
    {
        return $jar->explains(Looks::Sulphurous) && $jar->ripenedDays < 2.0 * self::SOUR_BY_DAYS;
    }

    /**
     * An emulsion that came apart under the whisk, on the day on which it was made.
     *
     * @param  list<Finding>  $found
     */
    private static function brokeInMaking(CheckedJar $jar, array $found): bool
    {
        return $jar->day === 0 &&
            in_array(Finding::BrokeInMaking, $found, true) &&
            !in_array(Finding::BrokeLater, $found, true);
    }

    /** @return list<CheckRule> */
    private static function wait(): array
    {
        return [
            new CheckRule(
                'top_unsure',
                [Finding::TopUnsure],
                Verdict::Wait,
                'check_because.top_unsure',
                'check_do.top_unsure',
                self::NO_TASTE,
            ),
            new CheckRule(
                'smell_unsure',
                [Finding::SmellUnsure],
                Verdict::Wait,
                'check_because.smell_unsure',
                'check_do.smell_unsure',
                self::NO_TASTE,
            ),
            new CheckRule(
                'solvent',
                [Finding::SmellSolvent],
                Verdict::Wait,
                'check_because.solvent',
                'check_do.solvent',
                self::NO_TASTE,
            ),
            new CheckRule(
                'mush',
                [Finding::Mushy],
                Verdict::Wait,
                'check_because.mush',
                'check_do.mush',
                self::NO_TASTE,
            ),
            new CheckRule(
                'above_dry',
                [Finding::AboveDry],
                Verdict::Wait,
                'check_because.above_dry',
                'check_do.above_dry',
                self::NO_TASTE,
            ),
            new CheckRule(
                'brine_odd',
                [Finding::BrineOddColour],
                Verdict::Wait,
                'check_because.brine_odd',
                'check_do.brine_odd',
                self::NO_TASTE,
            ),
            new CheckRule(
                'broken',
                [Finding::Broken],
                Verdict::Wait,
                'check_because.broken',
                'check_do.broken',
                self::NO_TASTE,
                static fn(CheckedJar $jar, array $found): bool => !$jar->hazards->hasEgg &&
                    !$jar->isMilk() &&
                    !self::brokeInMaking($jar, $found),
            ),
            new CheckRule(
                'sulphur_late',
                [Finding::SmellSulphur],
                Verdict::Wait,
                'check_because.sulphur_late',
                'check_do.sulphur_late',
                self::NO_TASTE,
                static fn(CheckedJar $jar): bool => !self::isSulphurOfFood($jar),
            ),
            new CheckRule(
                'egg_two_hours',
                [],
                Verdict::Wait,
                'check_because.egg_two_hours',
                'check_do.egg_two_hours',
                Advice::RAW_EGG,
                static fn(CheckedJar $jar): bool => $jar->hazards->hasEgg &&
                    $jar->warmHours > ShelfLife::EGG_WARM_HOURS,
            ),
            new CheckRule(
                'puree_unread',
                [],
                Verdict::Wait,
                'check_because.puree_unread',
                'check_do.puree_unread',
                self::NO_TASTE,
                static fn(CheckedJar $jar): bool => self::isPureeOut($jar) && $jar->ph === null,
            ),
            new CheckRule(
                'no_start',
                [Finding::NoBubbles, Finding::SmellRaw],
                Verdict::Wait,
                'check_because.no_start',
                'check_do.no_start',
                self::NO_TASTE,
                static fn(CheckedJar $jar): bool => $jar->ripenedDays >= self::STIRS_BY_DAYS &&
                    $jar->ripenedDays < self::RESCUE_BEFORE_DAYS &&
                    !$jar->isReadSour(),
            ),
            new CheckRule(
                'no_start_late',
                [Finding::NoBubbles, Finding::SmellRaw],
                Verdict::Wait,
                'check_because.no_start_late',
                'check_do.no_start_late',
                self::NO_TASTE,
                static fn(CheckedJar $jar): bool => $jar->ripenedDays >= self::RESCUE_BEFORE_DAYS &&
                    !$jar->isReadSour(),
            ),
            new CheckRule(
                'raw_late',
                [Finding::SmellRaw],
                Verdict::Wait,
                'check_because.raw_late',
                'check_do.raw_late',
                self::NO_TASTE,
                static fn(CheckedJar $jar): bool => $jar->isFermenting() &&
                    $jar->ripenedDays >= self::SOUR_BY_DAYS &&
                    !$jar->isReadSour(),
            ),
            new CheckRule(
                'not_sour',
                [],
                Verdict::Wait,
                'check_because.not_sour',
                'check_do.not_sour',
                self::NO_TASTE,
                static fn(CheckedJar $jar): bool => $jar->isFermenting() &&
                    $jar->ph !== null &&
                    !$jar->isReadSour() &&
                    $jar->ripenedDays >= self::SOUR_BY_DAYS,
            ),
            new CheckRule(
                'airlock_dry_film',
                [Finding::AirlockDry, Finding::FilmFlat],
                Verdict::Wait,
                'check_because.airlock_dry_film',
                'check_do.airlock_dry_film',
                self::NO_TASTE,
            ),
            new CheckRule(
                'film_soft_yeasty',
                [Finding::FilmFlat, Finding::Soft, Finding::SmellYeasty],
                Verdict::Wait,
                'check_because.film_soft_yeasty',
                'check_do.film_soft_yeasty',
                self::NO_TASTE,
            ),
        ];
    }

    /** @return list<CheckRule> */
    private static function fineDo(): array
    {
        return [
            new CheckRule(
                'kahm',
                [Finding::FilmFlat],
                Verdict::FineDo,
                'check_because.kahm',
                'check_do.kahm',
                'check_caution.kahm',
                static fn(CheckedJar $jar): bool => !self::growsMother($jar),
            ),
            new CheckRule(
                'mother',
                [Finding::FilmFlat],
                Verdict::FineDo,
                'check_because.mother',
                'check_do.mother',
                'check_caution.kahm',
                static fn(CheckedJar $jar): bool => self::growsMother($jar),
            ),
            new CheckRule(
                'above_wet',
                [Finding::AboveWet],
                Verdict::FineDo,
                'check_because.above_wet',
                'check_do.above_wet',
            ),
            new CheckRule(
                'hisses',
                [Finding::LidHisses],
                Verdict::FineDo,
                'check_because.hisses',
                'check_do.hisses',
                null,
                static fn(CheckedJar $jar): bool => $jar->isFermenting() && !$jar->isStillMilk(),
            ),
            new CheckRule(
                'bulge',
                [Finding::LidBulging],
                Verdict::FineDo,
                'check_because.bulge',
                'check_do.bulge',
                'check_caution.bulge',
                static fn(CheckedJar $jar): bool => $jar->isFermenting() &&
                    $jar->method->isMade() &&
                    !$jar->isLiveSauce() &&
                    !$jar->isStillMilk(),
            ),
            new CheckRule(
                'bulge_live_bought',
                [Finding::LidBulging],
                Verdict::FineDo,
                'check_because.bulge_live_bought',
                'check_do.bulge_live_bought',
                'check_caution.bulge_live_bought',
                static fn(CheckedJar $jar): bool => $jar->isFermenting() && !$jar->method->isMade(),
            ),
            new CheckRule(
                'bulge_live_sauce',
                [Finding::LidBulging],
                Verdict::FineDo,
                'check_because.live_sauce',
                'check_do.live_sauce',
                'check_caution.bulge',
                static fn(CheckedJar $jar): bool => $jar->isLiveSauce(),
            ),
            new CheckRule(
                'fizz_live_sauce',
                [Finding::Fizz],
                Verdict::FineDo,
                'check_because.live_sauce',
                'check_do.live_sauce',
                null,
                static fn(CheckedJar $jar): bool => $jar->isLiveSauce(),
            ),
            new CheckRule(
                'sulphur_early',
                [Finding::SmellSulphur],
                Verdict::FineDo,
                'check_because.sulphur_early',
                'check_do.sulphur_early',
                null,
                static fn(CheckedJar $jar): bool => self::isSulphurOfFood($jar),
            ),
            new CheckRule(
                'broke_in_making',
                [Finding::Broken, Finding::BrokeInMaking],
                Verdict::FineDo,
                'check_because.broke_in_making',
                'check_do.broke_in_making',
                null,
                static fn(CheckedJar $jar, array $found): bool => self::brokeInMaking($jar, $found),
            ),
            new CheckRule(
                'ran_over',
                [Finding::RanOver],
                Verdict::FineDo,
                'check_because.ran_over',
                'check_do.ran_over',
            ),
            new CheckRule(
                'airlock_dry',
                [Finding::AirlockDry],
                Verdict::FineDo,
                'check_because.airlock_dry',
                'check_do.airlock_dry',
            ),
            new CheckRule(
                'brown_top',
                [Finding::BrownTop],
                Verdict::FineDo,
                'check_because.brown_top',
                'check_do.brown_top',
            ),
            new CheckRule('soft', [Finding::Soft], Verdict::FineDo, 'check_because.soft', 'check_do.soft'),
            new CheckRule(
                'yeasty',
                [Finding::SmellYeasty],
                Verdict::FineDo,
                'check_because.yeasty',
                'check_do.yeasty',
                null,
                static fn(CheckedJar $jar): bool => $jar->isFermenting(),
            ),
            new CheckRule(
                'yeasty_unfermented',
                [Finding::SmellYeasty],
                Verdict::Wait,
                'check_because.yeasty_unfermented',
                'check_do.yeasty_unfermented',
                self::NO_TASTE,
                static fn(CheckedJar $jar): bool => !$jar->isFermenting(),
            ),
        ];
    }

    /** @return list<CheckRule> what looks odd and is not */
    private static function fine(): array
    {
        return [
            new CheckRule(
                'cloudy',
                [Finding::BrineCloudy],
                Verdict::Fine,
                'check_because.cloudy',
                null,
                null,
                static fn(CheckedJar $jar): bool => $jar->method !== Method::QuickSaltPickle,
            ),
            new CheckRule(
                'pink_of_food',
                [Finding::PinkOfFood],
                Verdict::Fine,
                'check_because.pink_of_food',
                null,
                null,
                static fn(CheckedJar $jar, array $found): bool => self::isOfFood($jar, $found, Looks::Reddens) &&
                    self::isAsked('pink', $jar, $found),
            ),
            new CheckRule(
                'specks_of_food',
                [Finding::SpecksOfFood],
                Verdict::Fine,
                'check_because.specks_of_food',
                null,
                null,
                static fn(CheckedJar $jar, array $found): bool => self::isOfFood($jar, $found, Looks::Specked) &&
                    self::isAsked('specks', $jar, $found),
            ),
            new CheckRule(
                'slip_of_food',
                [Finding::SlipOfFood],
                Verdict::Fine,
                'check_because.slip_of_food',
                null,
                null,
                static fn(CheckedJar $jar, array $found): bool => self::isOfFood($jar, $found, Looks::Slips) &&
                    self::isAsked('slip', $jar, $found),
            ),
            new CheckRule(
                'whey_apart',
                [Finding::Broken],
                Verdict::Fine,
                'check_because.whey_apart',
                null,
                null,
                static fn(CheckedJar $jar): bool => $jar->isMilk(),
            ),
            new CheckRule('sediment', [Finding::SedimentWhite], Verdict::Fine, 'check_because.sediment'),
            new CheckRule('tinted', [Finding::BrineTinted], Verdict::Fine, 'check_because.tinted'),
            new CheckRule('olive', [Finding::ColourOlive], Verdict::Fine, 'check_because.olive'),
            new CheckRule('garlic_blue', [Finding::GarlicBlue], Verdict::Fine, 'check_because.garlic_blue'),
            new CheckRule('froth', [Finding::Bubbles], Verdict::Fine, 'check_because.froth'),
            new CheckRule(
                'no_bubbles_soured',
                [Finding::NoBubbles],
                Verdict::Fine,
                'check_because.no_bubbles_soured',
                null,
                null,
                static fn(CheckedJar $jar): bool => $jar->ripenedDays >= self::STIRS_BY_DAYS,
            ),
            new CheckRule(
                'no_bubbles_yet',
                [Finding::NoBubbles],
                Verdict::Fine,
                'check_because.no_bubbles_yet',
                null,
                null,
                static fn(CheckedJar $jar): bool => $jar->ripenedDays < self::STIRS_BY_DAYS,
            ),
        ];
    }
}
