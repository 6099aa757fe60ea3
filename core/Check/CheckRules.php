<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

use Tempesal\Core\Advice\Advice;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\ShelfLife;

/**
 * The rules by which a jar is judged: common practice, no source, always the stricter one where practice differs. That
 * visible mould means throwing the jar out follows public food-safety advice (USDA Food Safety and Inspection Service on
 * moulds in moist and soft foods; from memory).
 */
final class CheckRules
{
    private const THROW_OUT = 'Throw out all of it, brine too, without tasting. Wash the jar, weight and cover hot.';

    private const MOULD = 'Scraping does not help: threads and poisons reach below what one sees. This application never clears a mouldy jar.';

    private const NO_TASTE = 'Do not taste it to find out. In doubt it goes out.';

    /** A ferment that is not sour after so many days at 21 °C does not get there by itself. */
    private const SOUR_BY_DAYS = 7.0;

    /** A ferment stirs by then. */
    private const STIRS_BY_DAYS = 4.0;

    /** Until then live brine can still start it; later what lies raw is only getting worse. */
    private const RESCUE_BEFORE_DAYS = 5.0;

    /** Hours out of the fridge after which a low-acid purée is asked for its pH: common practice, no source. */
    private const PUREE_HOURS = 24.0;

    /** @return list<CheckRule> the strictest first */
    public static function all(): array
    {
        return [...self::doNotEat(), ...self::wait(), ...self::fineDo(), ...self::fine()];
    }

    /** @return list<CheckRule> */
    private static function doNotEat(): array
    {
        return [
            new CheckRule('fuzz_white', [Finding::FuzzWhite], Verdict::DoNotEat, 'Fuzz is mould, white fuzz too.', self::THROW_OUT, self::MOULD),
            new CheckRule('fuzz_coloured', [Finding::FuzzColoured], Verdict::DoNotEat, 'Coloured fuzz is mould that has begun to spread spores.', self::THROW_OUT, self::MOULD),
            new CheckRule('pink', [Finding::SpotsPink], Verdict::DoNotEat, 'Pink or orange growth is neither kahm nor a colour of the food.', self::THROW_OUT, self::NO_TASTE),
            new CheckRule('black', [Finding::SpotsBlack], Verdict::DoNotEat, 'Black or brown spots are mould or rot.', self::THROW_OUT, self::MOULD),
            new CheckRule('insects', [Finding::Insects], Verdict::DoNotEat, 'Creatures have been in it, and laid what one does not see.', self::THROW_OUT, 'Next time, a cover that they cannot pass.'),
            new CheckRule('rotten', [Finding::SmellRotten], Verdict::DoNotEat, 'A rotten smell is rot. Sour never smells so.', self::THROW_OUT, self::NO_TASTE),
            new CheckRule('slime', [Finding::Slimy], Verdict::DoNotEat, 'Slime means that the wrong ones have grown.', self::THROW_OUT, self::NO_TASTE),
            new CheckRule('ropy', [Finding::BrineRopy], Verdict::DoNotEat, 'Brine that pulls threads is slime that is still thin.', self::THROW_OUT, self::NO_TASTE),
            new CheckRule('odd_colour', [Finding::ColourOdd], Verdict::DoNotEat, 'Food that turned pink, black or grey has spoiled.', self::THROW_OUT, self::NO_TASTE),
            new CheckRule('mush_off', [Finding::Mushy, Finding::SmellUnsure], Verdict::DoNotEat, 'Mushy and odd of smell: two signs that say the same.', self::THROW_OUT, self::NO_TASTE),
            new CheckRule('dry_unsure', [Finding::AboveDry, Finding::TopUnsure], Verdict::DoNotEat, 'What dries above the brine is where mould begins, and something is growing there.', self::THROW_OUT, self::MOULD),
            new CheckRule('fizz_unfermented', [Finding::Fizz], Verdict::DoNotEat, 'It should not ferment, and it does.', self::THROW_OUT, self::NO_TASTE,
                static fn (CheckedJar $jar): bool => ! $jar->isFermenting()),
            new CheckRule('bulge_unfermented', [Finding::LidBulging], Verdict::DoNotEat, 'Gas has built up in a jar in which nothing should be working.', 'Do not open it. Put it in a bag and throw it out; wash your hands.', 'A bulging lid on food that does not ferment can mean botulism.',
                static fn (CheckedJar $jar): bool => ! $jar->isFermenting() && $jar->method->isMade()),
            new CheckRule('bulge_bought', [Finding::LidBulging], Verdict::DoNotEat, 'The lid of a bought jar has risen, and nobody here knows what went on in it.', 'Do not open it. Put it in a bag and throw it out, or take it back; wash your hands.', 'A bulging lid can mean botulism.',
                static fn (CheckedJar $jar): bool => ! $jar->method->isMade()),
            new CheckRule('cloudy_quick', [Finding::BrineCloudy], Verdict::DoNotEat, 'A quick pickle that turns cloudy has begun to work.', self::THROW_OUT, self::NO_TASTE,
                static fn (CheckedJar $jar): bool => $jar->method === Method::QuickSaltPickle),
            new CheckRule('kept_too_long', [], Verdict::DoNotEat, 'It has kept as long as it may.', self::THROW_OUT, null,
                static fn (CheckedJar $jar): bool => $jar->hasKeptTooLong()),
            new CheckRule('egg_warm', [], Verdict::DoNotEat, 'Raw egg has been out of the fridge for more than 10 hours.',
                self::THROW_OUT, Advice::RAW_EGG,
                static fn (CheckedJar $jar): bool => $jar->hazards->hasEgg && $jar->warmHours > ShelfLife::EGG_LONGEST_WARM_HOURS),
            new CheckRule('egg_broken', [Finding::Broken], Verdict::DoNotEat,
                'An egg emulsion that curdles after standing is not kept.', self::THROW_OUT, Advice::RAW_EGG,
                static fn (CheckedJar $jar): bool => $jar->hazards->hasEgg),
            new CheckRule('never_soured', [], Verdict::DoNotEat, 'It has had twice the time it takes to sour, and was read above pH 4.6.', self::THROW_OUT, 'Acid is what keeps it; 4.6 is the published line for acidified foods.',
                static fn (CheckedJar $jar): bool => self::shouldBeSour($jar) && $jar->ph !== null && ! $jar->isReadSour()),
            new CheckRule('never_started', [Finding::SmellRaw], Verdict::DoNotEat,
                'After two weeks it still smells raw and shows no sign of souring.', self::THROW_OUT, self::NO_TASTE,
                static fn (CheckedJar $jar, array $found): bool => self::shouldBeSour($jar) && $jar->ph === null && $jar->hasSoured !== true && array_filter($found, static fn (Finding $sign): bool => in_array($sign, Finding::ofLife(), true)) === []),
            new CheckRule('tasted_not_sour', [], Verdict::DoNotEat, 'After two weeks it was tasted and was not sour.',
                self::THROW_OUT, self::NO_TASTE,
                static fn (CheckedJar $jar): bool => self::shouldBeSour($jar) && $jar->ph === null && $jar->hasSoured === false),
            new CheckRule('puree_not_acid', [], Verdict::DoNotEat,
                'A low-acid purée has stood warm for more than a day, and was read above pH 4.6.', self::THROW_OUT,
                self::NO_TASTE,
                static fn (CheckedJar $jar): bool => self::isPureeOut($jar) && $jar->ph !== null && ! $jar->isReadSour()),
        ];
    }

    /** Whether a ferment has had twice the time it takes to sour. */
    private static function shouldBeSour(CheckedJar $jar): bool
    {
        return $jar->isFermenting() && $jar->ripenedDays > 2.0 * self::SOUR_BY_DAYS;
    }

    private static function isPureeOut(CheckedJar $jar): bool
    {
        return $jar->hazards->isLowAcidPuree && $jar->warmHours > self::PUREE_HOURS;
    }

    /** @return list<CheckRule> */
    private static function wait(): array
    {
        return [
            new CheckRule('top_unsure', [Finding::TopUnsure], Verdict::Wait, 'Film stays flat and white; mould rises, grows hairs, takes colour.', 'Close it, keep it cool, and look tomorrow. What has risen or coloured by then goes out.', self::NO_TASTE),
            new CheckRule('smell_unsure', [Finding::SmellUnsure], Verdict::Wait, 'A smell that you cannot name is a reason not to eat.', 'Let it air for a quarter of an hour, smell again, and let someone else smell. Still odd tomorrow: out.', self::NO_TASTE),
            new CheckRule('solvent', [Finding::SmellSolvent], Verdict::Wait, 'Glue or nail varnish: yeasts have run ahead, in warmth or under air.', 'Into the fridge, everything under brine. If it does not fade in three days, throw it out.', self::NO_TASTE),
            new CheckRule('mush', [Finding::Mushy], Verdict::Wait, 'Mush comes from warmth, age or too little salt, and rot begins so.', 'Into the fridge, and look again tomorrow. Slime or any off smell by then: out.', self::NO_TASTE),
            new CheckRule('above_dry', [Finding::AboveDry], Verdict::Wait, 'What stood dry above the brine has met air.', 'Take off what was dry and throw it away, press the rest under, top up, and look again in two days.', self::NO_TASTE),
            new CheckRule('brine_odd', [Finding::BrineOddColour], Verdict::Wait, 'A colour that nothing in the jar has came from somewhere.', 'Look for its source in good light. None found, or more of it tomorrow: out.', self::NO_TASTE),
            new CheckRule('broken', [Finding::Broken], Verdict::Wait, 'It has separated. Liquid on a sauce is harmless, curdling need not be.', 'Smell it, stir it, and look again in an hour.', self::NO_TASTE,
                static fn (CheckedJar $jar): bool => ! $jar->hazards->hasEgg),
            new CheckRule('egg_two_hours', [], Verdict::Wait, 'Raw egg has been out of the fridge for more than 2 hours.',
                'Put it in the fridge now, and decide with the advice below whether anyone eats it.', Advice::RAW_EGG,
                static fn (CheckedJar $jar): bool => $jar->hazards->hasEgg && $jar->warmHours > ShelfLife::EGG_WARM_HOURS),
            new CheckRule('puree_unread', [], Verdict::Wait,
                'It is a low-acid purée with little salt, it has stood warm for more than a day, and no pH was read.',
                'Read its pH. Above 4.6, throw it out. At 4.6 or lower, put it in the fridge.', self::NO_TASTE,
                static fn (CheckedJar $jar): bool => self::isPureeOut($jar) && $jar->ph === null),
            new CheckRule('no_start', [Finding::NoBubbles, Finding::SmellRaw], Verdict::Wait,
                'Four days, no bubbles and no sourness: it has not started. A cold room, chlorinated water or much salt slow it.',
                'Read its pH. Give it live brine from another jar today, or move it somewhere warmer, and look again in two days.',
                self::NO_TASTE,
                static fn (CheckedJar $jar): bool => $jar->ripenedDays >= self::STIRS_BY_DAYS && $jar->ripenedDays < self::RESCUE_BEFORE_DAYS && ! $jar->isReadSour()),
            new CheckRule('no_start_late', [Finding::NoBubbles, Finding::SmellRaw], Verdict::Wait,
                'No bubbles and no sourness, and it is too late for live brine to rescue it.',
                'Read its pH now. If it shows no sourness by day 14, throw it out.', self::NO_TASTE,
                static fn (CheckedJar $jar): bool => $jar->ripenedDays >= self::RESCUE_BEFORE_DAYS && ! $jar->isReadSour()),
            new CheckRule('raw_late', [Finding::SmellRaw], Verdict::Wait, 'It should smell sour by now.', 'Read its pH, and look again in two days.', self::NO_TASTE,
                static fn (CheckedJar $jar): bool => $jar->isFermenting() && $jar->ripenedDays >= self::SOUR_BY_DAYS && ! $jar->isReadSour()),
            new CheckRule('not_sour', [], Verdict::Wait, 'It was read above pH 4.6, after the time in which it should have soured.', 'Leave it to go on, and read it again in two days.', self::NO_TASTE,
                static fn (CheckedJar $jar): bool => $jar->isFermenting() && $jar->ph !== null && ! $jar->isReadSour() && $jar->ripenedDays >= self::SOUR_BY_DAYS),
            new CheckRule('airlock_dry_film', [Finding::AirlockDry, Finding::FilmFlat], Verdict::Wait, 'Air has come in, and something white has used it.', 'Skim it, fill the airlock, and look again in two days whether it stays flat and white.', self::NO_TASTE),
            new CheckRule('film_soft_yeasty', [Finding::FilmFlat, Finding::Soft, Finding::SmellYeasty], Verdict::Wait, 'Film, softness and a beery smell together: yeasts are taking over.', 'Skim it, into the fridge, and look again in three days.', self::NO_TASTE),
        ];
    }

    /** @return list<CheckRule> */
    private static function fineDo(): array
    {
        return [
            new CheckRule('kahm', [Finding::FilmFlat], Verdict::FineDo, 'Flat, white, without hairs: kahm, a yeast that does no harm and tastes of little good.', 'Skim it off, wipe the rim, wash the weight, press everything under. Cooler or saltier, it comes back less.', 'Look twice: anything raised, hairy or coloured is mould, and then it goes out.'),
            new CheckRule('above_wet', [Finding::AboveWet], Verdict::FineDo, 'What stands above the brine spoils first.', 'Press it down, weigh it down, and top up with brine as strong as the jar.'),
            new CheckRule('hisses', [Finding::LidHisses], Verdict::FineDo, 'Gas: it works.', 'Open it a crack every day.', null, static fn (CheckedJar $jar): bool => $jar->isFermenting()),
            new CheckRule('bulge', [Finding::LidBulging], Verdict::FineDo, 'Gas has nowhere to go.', 'Open it over the sink, slowly, under a cloth, and every day from now on.', 'A sealed jar can burst.', static fn (CheckedJar $jar): bool => $jar->isFermenting() && $jar->method->isMade()),
            new CheckRule('ran_over', [Finding::RanOver], Verdict::FineDo, 'It rose, and lost brine with its salt.', 'Wipe it, top up with brine as strong as the jar, and write down how much ran over.'),
            new CheckRule('airlock_dry', [Finding::AirlockDry], Verdict::FineDo, 'A dry airlock lets air in.', 'Fill it, and look at the top again in two days.'),
            new CheckRule('brown_top', [Finding::BrownTop], Verdict::FineDo, 'What lies uppermost browns in air, as a cut apple does.', 'Take the browned layer off, press the rest under its juice.'),
            new CheckRule('soft', [Finding::Soft], Verdict::FineDo, 'Soft comes from warmth, age or little salt.', 'Into the fridge, and eat it soon. The next one cooler, shorter, or a little saltier.'),
            new CheckRule('yeasty', [Finding::SmellYeasty], Verdict::FineDo, 'Yeasts are at work beside the sour ones, as they do in sweet vegetables and warm rooms.', 'Keep everything under brine, cooler if you can, and look again in some days.', null,
                static fn (CheckedJar $jar): bool => $jar->isFermenting()),
            new CheckRule('yeasty_unfermented', [Finding::SmellYeasty], Verdict::Wait, 'It smells of yeast, and nothing in it should be working.', 'Into the fridge; fizz or a stronger smell tomorrow: out.', self::NO_TASTE,
                static fn (CheckedJar $jar): bool => ! $jar->isFermenting()),
        ];
    }

    /** @return list<CheckRule> what looks odd and is not */
    private static function fine(): array
    {
        return [
            new CheckRule('cloudy', [Finding::BrineCloudy], Verdict::Fine, 'Cloudy brine is the ones that sour it, at work.', null, null, static fn (CheckedJar $jar): bool => $jar->method !== Method::QuickSaltPickle),
            new CheckRule('sediment', [Finding::SedimentWhite], Verdict::Fine, 'White sediment is spent yeast and settled cultures.'),
            new CheckRule('tinted', [Finding::BrineTinted], Verdict::Fine, 'The brine takes on the colour of what lies in it.'),
            new CheckRule('olive', [Finding::ColourOlive], Verdict::Fine, 'Acid turns bright green to olive.'),
            new CheckRule('garlic_blue', [Finding::GarlicBlue], Verdict::Fine, 'Garlic turns blue or green in acid; it is a colour of its own.'),
            new CheckRule('froth', [Finding::Bubbles], Verdict::Fine, 'Froth without colour or hairs is gas on its way out.'),
            new CheckRule('no_bubbles_soured', [Finding::NoBubbles], Verdict::Fine, 'It has done most of its work: gas comes in the first days.', null, null,
                static fn (CheckedJar $jar): bool => $jar->ripenedDays >= self::STIRS_BY_DAYS),
            new CheckRule('no_bubbles_yet', [Finding::NoBubbles], Verdict::Fine, 'The first days can be quiet.', null, null,
                static fn (CheckedJar $jar): bool => $jar->ripenedDays < self::STIRS_BY_DAYS),
        ];
    }
}
