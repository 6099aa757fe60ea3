<?php

declare(strict_types=1);

namespace Tempesal\Core\Produce;

/**
 * Allergens that travel through ferments and their starters: the fourteen of Regulation (EU) 1169/2011, Annex II, among
 * which are the nine of the United States (FALCPA and FASTER Acts; from memory).
 */
enum Allergen: string
{
    case Fish = 'fish';
    case Crustaceans = 'crustaceans';
    case Milk = 'milk';
    case Egg = 'egg';
    case Mustard = 'mustard';
    case Celery = 'celery';
    case Soy = 'soy';
    case Gluten = 'gluten';
    case Sesame = 'sesame';
    case TreeNuts = 'tree_nuts';
    case Peanut = 'peanut';
    case Molluscs = 'molluscs';
    case Sulphites = 'sulphites';
    case Lupin = 'lupin';
    /** No allergen, but avoided like one, by those whose kidneys or medicines ask for it. */
    case PotassiumSalt = 'potassium_salt';
}
