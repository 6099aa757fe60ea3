<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

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
        return [self::Lively, self::FewBubbles, self::Bubbles, self::LidHisses, self::LidBulging, self::RanOver,
            self::SmellSour, self::SmellFunky];
    }

    public function label(): string
    {
        return match ($this) {
            self::TopClean => 'Nothing but food and brine',
            self::Bubbles => 'Bubbles or a little froth',
            self::FilmFlat => 'A flat white film, smooth or wrinkled',
            self::FuzzWhite => 'White fuzz: raised, with hairs',
            self::FuzzColoured => 'Green, blue, grey or black fuzz',
            self::SpotsPink => 'Pink or orange spots or film',
            self::SpotsBlack => 'Black or brown spots',
            self::Insects => 'Flies, maggots or other creatures',
            self::TopUnsure => 'I cannot tell film from fuzz',
            self::AllUnder => 'Everything lies under the brine',
            self::AboveWet => 'Some stands above it, still wet',
            self::AboveDry => 'Some stands above it, dry or discoloured',
            self::BrineClear => 'Clear',
            self::BrineCloudy => 'Cloudy',
            self::SedimentWhite => 'White sediment at the bottom',
            self::BrineTinted => 'Tinted by what is in it',
            self::BrineRopy => 'Thick, pulling threads',
            self::BrineOddColour => 'A colour that nothing in it has',
            self::ColourAsExpected => 'As it was, or a little duller',
            self::ColourOlive => 'Bright green has turned olive',
            self::GarlicBlue => 'Garlic has turned blue or green',
            self::BrownTop => 'The uppermost layer has browned',
            self::ColourOdd => 'Pink, black or grey where it was not',
            self::LidFlat => 'Flat and quiet',
            self::LidHisses => 'It hisses when opened',
            self::LidBulging => 'The lid bulges, or is hard to open',
            self::RanOver => 'Brine has run over',
            self::AirlockDry => 'The airlock has run dry',
            self::Lively => 'Rising all the time',
            self::FewBubbles => 'Some, when it is tapped',
            self::NoBubbles => 'None at all',
            self::Fizz => 'It fizzes',
            self::Still => 'No fizz',
            self::SmellSour => 'Sour, fresh, garlicky',
            self::SmellFunky => 'Funky, cabbagey, strong but good',
            self::SmellRaw => 'Like the raw food, of nothing much',
            self::SmellYeasty => 'Of bread, beer or wine',
            self::SmellSolvent => 'Of glue or nail varnish',
            self::SmellRotten => 'Rotten, of sewage or garbage',
            self::SmellUnsure => 'Odd, and I cannot name it',
            self::Crisp => 'Crisp or firm',
            self::Soft => 'Soft, but whole',
            self::Mushy => 'Mushy, falling apart',
            self::Slimy => 'Slimy',
            self::Smooth => 'As smooth or coarse as it was made',
            self::Broken => 'Separated or curdled',
        };
    }
}
