<?php

declare(strict_types=1);

namespace Tempesal\Core\Salt;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\SodiumChloride;

/**
 * The salts a new kitchen starts with. Densities (grams a level US tablespoon) and sodium contents are from memory,
 * their bands wide on purpose; table salt's sodium is the USDA composition tables', from memory.
 */
final class StartingSalts
{
    /** What else they are called, by their id. */
    public const ALSO = [
        'table' => ['table salt', 'salt', 'fine salt', 'iodised salt', 'iodized salt', 'cooking salt', 'regular salt'],
        'pickling' => [
            'salt',
            'fine salt',
            'canning salt',
            'canning and pickling salt',
            'preserving salt',
            'pure salt',
        ],
        'fine-sea' => ['salt', 'fine salt', 'sea salt', 'fine-grained sea salt'],
        'dense-kosher' => ['kosher salt', 'coarse kosher salt', 'kosher'],
        'flaky-kosher' => ['kosher salt', 'kosher', 'flaked kosher salt'],
        'coarse-sea' => ['coarse salt', 'sea salt', 'rock salt', 'coarse grain salt', 'korean coarse sea salt'],
        'grey-sea' => ['grey salt', 'gray salt', 'gray sea salt', 'sel gris', 'moist sea salt'],
        'pink-rock' => ['pink salt', 'himalayan salt', 'pink rock salt', 'himalayan pink salt'],
        'flakes' => ['sea salt flakes', 'flaky sea salt', 'flaky salt', 'flake salt', 'finishing salt', 'flaked salt'],
        'half-potassium' => ['low-sodium salt', 'lite salt', 'light salt', 'reduced sodium salt', 'salt substitute'],
    ];

    /** @return list<SaltProduct> */
    public static function all(): array
    {
        $pure = SodiumChloride::SODIUM_SHARE * 100_000.0;
        $clean = Band::of(39_000.0, 39_300.0, $pure);
        $sea = Band::of(37_500.0, 38_600.0, $pure);

        return [
            new SaltProduct(
                'table',
                'fine table salt',
                Band::of(17, 18, 19),
                Band::of(38_400.0, 38_760.0, $pure),
                iodised: true,
                antiCaking: true,
            ),
            new SaltProduct('pickling', 'pickling salt', Band::of(17.5, 18.5, 19.5), $clean),
            new SaltProduct('fine-sea', 'fine sea salt', Band::of(14.5, 16.5, 18.5), $sea),
            new SaltProduct('dense-kosher', 'dense kosher salt', Band::of(14, 15, 16.5), $clean, antiCaking: true),
            new SaltProduct('flaky-kosher', 'flaky kosher salt', Band::of(8, 9, 10.5), $clean),
            new SaltProduct('coarse-sea', 'coarse sea salt', Band::of(12.5, 15, 17.5), $sea),
            new SaltProduct(
                'grey-sea',
                'grey sea salt, moist',
                Band::of(12, 13.5, 16),
                Band::of(34_000.0, 35_000.0, 36_000.0),
                waterPer100g: 8.0,
            ),
            new SaltProduct(
                'pink-rock',
                'fine pink rock salt',
                Band::of(15, 17, 19),
                Band::of(36_800.0, 38_300.0, $pure),
            ),
            new SaltProduct('flakes', 'salt flakes', Band::of(6, 8, 11), $sea),
            new SaltProduct(
                'half-potassium',
                'half-potassium blend',
                Band::of(16.5, 18, 19.5),
                Band::of(18_500.0, 19_500.0, 20_500.0),
                antiCaking: true,
                potassium: true,
            ),
        ];
    }
}
