<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Ledger;

/**
 * What a food does to the look, feel and smell of a jar, so that it is not taken for spoilage: common practice, no
 * source. It goes by the name; what no name tells is judged strictly.
 */
enum Looks: string
{
    /** Its red colours brine and neighbours. */
    case Reddens = 'reddens';
    /** It is specked by nature, or is seed, husk or ground spice itself. */
    case Specked = 'specked';
    /** It makes brine slip and thicken. */
    case Slips = 'slips';
    /** It gives off sulphur while it begins to ferment. */
    case Sulphurous = 'sulphurous';
    /** It grows a mother, a smooth skin that is the culture itself. */
    case GrowsMother = 'grows_mother';
    /** Its yeasts make gas in milk, which other cultured milk never holds. */
    case Foams = 'foams';

    private const NAMES = [
        'reddens' =>
            '/\b(red[- ]cabbage|purple cabbage|beet(root)?s?|red[- ]radish(es)?|long red radish(es)?|radish(es)?, red|' .
            'red[- ](onions?|kraut|carrots?|peppers?|chill?i(e?s)?)|purple carrots?|red shiso|shiso|rhubarb|' .
            'pomegranates?|cranberr(y|ies)|blackberr(y|ies)|blueberr(y|ies)|blackcurrants?|raspberr(y|ies)|' .
            'strawberr(y|ies)|cherr(y|ies)|grapes?|plums?|red wine|hibiscus|sumac|paprika|tomato(es)?|' .
            'chill?i (flakes|powder)|gochugaru|gochujang|kimchi|chard)\b/iu',
        'specked' =>
            '/\b(napa( cabbage)?|chinese (cabbage|leaves)|pak[- ]choi|cauliflower|kohlrabi|[a-z]*seeds?|caraway|' .
            'cumin|peppercorns?|(black|white|sichuan) pepper|allspice|juniper|cloves?|cardamom|star anise|cinnamon|' .
            'nutmeg|vanilla|nigella|pickling spice|garam masala|curry (powder|leaves)|chill?i (flakes|powder)|' .
            'dried chill?i(e?s)?|gochugaru|oregano|dried (dill|thyme|mushrooms)|tea|bay leaf|kelp|capers?)\b/iu',
        'slips' =>
            '/\b(okra|kelp|kombu|wakame|mustard[- ]seeds?|chia|flax(seeds?)?|linseeds?|basil seeds?|psyllium|' .
            'mother of vinegar|vinegar mother|kombucha|(milk |water )?kefir( grains)?|natto|nopal(es)?|cactus|aloe|purslane|malabar spinach|' .
            '(rice|flour) paste|cornflour|chayote|lotus root)\b/iu',
        'sulphurous' =>
            '/\b([a-z]*[- ]?cabbages?|kraut|sauerkraut|kimchi|brussels sprouts|broccoli|cauliflower|kale|collards?|' .
            '(collard|mustard|beet) greens|kohlrabi|turnips?|swedes?|[a-z ]*radish(es)?|pak[- ]choi|napa|rocket|' .
            'horseradish|mustard greens|onions?|shallots?|leeks?|garlic|chives?|eggs?|garlic chives)\b/iu',
        'grows_mother' => '/\b(kombucha|mother of vinegar|vinegar mother|cider vinegar)\b/iu',
        'foams' => '/\b(kefir|kombucha|koumiss|viili)\b/iu',
    ];

    /** @return list<self> what a food of a name does */
    public static function ofName(string $name): array
    {
        $name = str_replace('_', ' ', $name);

        return array_values(
            array_filter(
                self::cases(),
                static fn(self $look): bool => preg_match(self::NAMES[$look->value], $name) === 1,
            ),
        );
    }

    /** @return list<self> what the foods explain that went into a batch, each once */
    public static function in(Ledger $ledger): array
    {
        $all = [];
        foreach ($ledger->entries() as $entry) {
            $food = match (true) {
                $entry instanceof Add => $entry->ingredient,
                $entry instanceof Starter => $entry->liquid,
                default => null,
            };
            foreach ($food === null ? [] : self::ofName($food->name) as $look) {
                $all[$look->value] = $look;
            }
        }

        return array_values($all);
    }
}
