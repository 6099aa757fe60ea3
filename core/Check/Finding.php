<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

use Tempesal\Core\Message\Message;

/**
 * Something that one sees, smells or feels when looking into a jar.
 */
enum Finding: string
{
    case TopClean = 'top_clean';
    case Bubbles = 'bubbles';
    case FilmFlat = 'film_flat';
    case FuzzWhite = 'fuzz_white';
    case FuzzColoured = 'fuzz_coloured';
    case SpotsPink = 'spots_pink';
    case SpotsBlack = 'spots_black';
    case Insects = 'insects';
    case TopUnsure = 'top_unsure';

    /** What tells the colour, the specks and the slip of the food from growth. */
    case PinkOfFood = 'pink_of_food';
    case PinkLying = 'pink_lying';
    case SpecksOfFood = 'specks_of_food';
    case SpecksGrow = 'specks_grow';
    case SlipOfFood = 'slip_of_food';
    case SlipNew = 'slip_new';
    case BrokeInMaking = 'broke_in_making';
    case BrokeLater = 'broke_later';

    case AllUnder = 'all_under';
    case AboveWet = 'above_wet';
    case AboveDry = 'above_dry';

    case BrineClear = 'brine_clear';
    case BrineCloudy = 'brine_cloudy';
    case SedimentWhite = 'sediment_white';
    case BrineTinted = 'brine_tinted';
    case BrineRopy = 'brine_ropy';
    case BrineOddColour = 'brine_odd_colour';

    case ColourAsExpected = 'colour_as_expected';
    case ColourOlive = 'colour_olive';
    case GarlicBlue = 'garlic_blue';
    case BrownTop = 'brown_top';
    case ColourOdd = 'colour_odd';

    case LidFlat = 'lid_flat';
    case LidHisses = 'lid_hisses';
    case LidBulging = 'lid_bulging';
    case RanOver = 'ran_over';
    case AirlockDry = 'airlock_dry';

    case Lively = 'lively';
    case FewBubbles = 'few_bubbles';
    case NoBubbles = 'no_bubbles';
    case Fizz = 'fizz';
    case Still = 'still';

    case SmellSour = 'smell_sour';
    case SmellFunky = 'smell_funky';
    case SmellRaw = 'smell_raw';
    case SmellSulphur = 'smell_sulphur';
    case SmellYeasty = 'smell_yeasty';
    case SmellSolvent = 'smell_solvent';
    case SmellRotten = 'smell_rotten';
    case SmellUnsure = 'smell_unsure';

    case Crisp = 'crisp';
    case Soft = 'soft';
    case Mushy = 'mushy';
    case Slimy = 'slimy';
    case Smooth = 'smooth';
    case Broken = 'broken';

    /** @return list<self> what only a jar at work shows */
    public static function ofLife(): array
    {
        return [
            self::Lively,
            self::FewBubbles,
            self::Bubbles,
            self::LidHisses,
            self::LidBulging,
            self::RanOver,
            self::SmellSour,
            self::SmellFunky,
        ];
    }

    public function label(): Message
    {
        return Message::of("finding.{$this->value}");
    }
}
