<?php

declare(strict_types=1);

namespace Tempesal\Core\Produce;

/**
 * What a food is, as far as safety and the salt floor depend on it. Which foods are low in acid
 * (above pH 4.6 by nature: all vegetables, herbs, pulses, nuts; not most fruit, not tomatoes) follows the lists of 21
 * CFR 114.3 and home-canning guidance, from memory.
 */
enum FoodTrait: string
{
    /** Poured, not packed: no part of the solids. */
    case Liquid = 'liquid';
    /** Fat in which no acid dissolves, so that a pH of it cannot be read. */
    case Oil = 'oil';
    /** A plant above pH 4.6 by nature, in which botulinum toxin can form where air, salt and acid are missing. */
    case LowAcidPlant = 'low_acid_plant';
    /** Sugar and its like: a solid that is part of the brine as soon as there is one. */
    case Dissolves = 'dissolves';
    /** Sugar on which a live sauce goes on making gas, in the fridge too. */
    case Sweet = 'sweet';

    private const OILS = '/\b(oil|ghee|lard|suet|dripping|butter)s?\b/i';

    private const LIQUIDS =
        '/\b(water|brine|juice|vinegar|whey|kefir|kombucha|kvass|milk|wine|beer|sauce|tamari|syrup|honey|' .
        'broth|stock)s?\b/i';

    private const DISSOLVES = '/\b(sugar|jaggery|panela|molasses|treacle|dextrose|erythritol|xylitol)\b/i';

    private const SWEET =
        '/\b(honey|sugar|syrup|molasses|treacle|jaggery|apples?|pears?|plums?|peach(es)?|cherry|cherries|' .
        'grapes?|raisins?|dates?|figs?|mango(es|s)?|pineapples?|oranges?|strawberry|strawberries|blackberry|' .
        'blackberries|blackcurrants?|cranberry|cranberries|gooseberry|gooseberries|pomegranate|apricots?|' .
        'bananas?|watermelon|melons?|papaya)\b/i';

    private const LOW_ACID =
        '/\b(garlic|herbs?|basil|rosemary|thyme|oregano|sage|mint|parsley|coriander leaves|cilantro|dill|' .
        'chives?|tarragon|marjoram|bay lea(f|ves)|curry leaves|onions?|shallots?|scallions?|leeks?|ginger|' .
        'turmeric root|fresh turmeric|horseradish|chill?i(e?s)?|chiles?|jalapenos?|habaneros?|peppers?|' .
        'capsicums?|mushrooms?|truffles?|carrots?|beet(root)?s?|parsnips?|turnips?|swedes?|radish(es)?|' .
        'celery|celeriac|fennel|cabbages?|kale|greens|spinach|lettuce|broccoli|cauliflower|asparagus|' .
        'artichokes?|aubergines?|eggplants?|zucchinis?|courgettes?|cucumbers?|pumpkins?|squash(es)?|' .
        'potato(es)?|sweetcorn|corn|peas|beans?|lentils?|chickpeas?|hummus|avocados?|nuts?|walnuts?|almonds?|' .
        'cashews?|hazelnuts?|peanuts?|pecans?|pistachios?|seeds?|tahini|olives?|okra|kelp|tofu|soya)\b/i';

    /** Dried and ground they bring next to no water of their own; vinegar and prepared mustard are sour. */
    private const NOT_LOW_ACID =
        '/\b(powder|ground|dried kelp|mustard|black pepper|allspice|juniper|vinegar|bought|brine|sauce|juice|' .
        'oil|kvass|milk)\b/i';

    /**
     * What a name says of a food of which nothing else was said; the stricter way where it is not clear.
     *
     * @return list<self>
     */
    public static function ofName(string $name): array
    {
        $isOil = preg_match(self::OILS, $name) === 1;
        $isLiquid = $isOil || preg_match(self::LIQUIDS, $name) === 1;

        return [
            ...$isLiquid ? [self::Liquid] : [],
            ...$isOil ? [self::Oil] : [],
            ...preg_match(self::LOW_ACID, $name) === 1 && preg_match(self::NOT_LOW_ACID, $name) !== 1
                ? [self::LowAcidPlant]
                : [],
            ...!$isLiquid && preg_match(self::DISSOLVES, $name) === 1 ? [self::Dissolves] : [],
            ...preg_match(self::SWEET, $name) === 1 &&
            preg_match('/\b(vinegar|green mango|green papaya)\b/i', $name) !== 1
                ? [self::Sweet]
                : [],
        ];
    }
}
