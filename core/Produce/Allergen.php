<?php

declare(strict_types=1);

namespace Tempesal\Core\Produce;

/**
 * Allergens that travel through ferments and their starters.
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
}
