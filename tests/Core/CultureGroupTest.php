<?php

declare(strict_types=1);

use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Method\CultureGroup;
use Tempesal\Core\Method\LiveFrom;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Window;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Ferment\Ripening;

/*
 * Which jars bring the same cultures, and from when on they count: common practice, no source.
 */

it('puts jars that ferment alike together', function (
    Method $method,
    Served $served,
    string $name,
    string $group,
): void {
    expect(CultureGroup::of($method, $served, $name)->value)->toBe($group);
})->with([
    [Method::DrySalting, Served::Pieces, '', 'kraut'],
    [Method::PouredBrine, Served::Pieces, '', 'brined'],
    [Method::EquilibriumBrine, Served::Pieces, '', 'brined'],
    [Method::ReusedBrine, Served::Pieces, '', 'brined'],
    [Method::PouredBrine, Served::Brine, '', 'drink'],
    [Method::KimchiDrySalted, Served::All, '', 'kimchi'],
    [Method::KimchiSoaked, Served::All, '', 'kimchi'],
    [Method::SaltAndDrain, Served::All, '', 'kimchi'],
    [Method::Mash, Served::Sauce, '', 'sauce'],
    [Method::Transform, Served::Sauce, '', 'sauce'],
    [Method::CulturedCondiment, Served::Sauce, 'Seed mustard', 'condiment'],
    [Method::CulturedCondiment, Served::Sauce, 'Strained yogurt', 'dairy'],
    [Method::Bought, Served::Pieces, 'Sauerkraut, unheated', 'kraut'],
    [Method::Bought, Served::Pieces, 'Kimchi', 'kimchi'],
    [Method::Bought, Served::Sauce, 'milk kefir', 'dairy'],
    [Method::Bought, Served::Brine, 'Water kefir', 'drink'],
    [Method::Bought, Served::Brine, 'Kombucha', 'drink'],
    [Method::Bought, Served::Sauce, 'raw cider vinegar', 'vinegar'],
    [Method::Bought, Served::Sauce, 'miso', 'koji'],
    [Method::Bought, Served::Pieces, 'olives', 'brined'],
    [Method::Bought, Served::Sauce, 'Something else', 'condiment'],
]);

it('leaves vinegar out of the goal', function (): void {
    foreach (CultureGroup::cases() as $group) {
        expect($group->counts())->toBe($group !== CultureGroup::Vinegar);
    }
});

it('counts from the stage that a method names', function (): void {
    $day = 86_400.0;
    $window = Window::of(4.0, 9.0, 28.0, Celsius::of(Ripening::REFERENCE_CELSIUS));
    expect(LiveFrom::Young->isReached(3.9 * $day, $window))
        ->toBeFalse()
        ->and(LiveFrom::Young->isReached(4.0 * $day, $window))
        ->toBeTrue()
        ->and(LiveFrom::Ready->isReached(8.9 * $day, $window))
        ->toBeFalse()
        ->and(LiveFrom::Ready->isReached(9.0 * $day, $window))
        ->toBeTrue()
        ->and(LiveFrom::AtOnce->isReached(0.0, null))
        ->toBeTrue()
        ->and(LiveFrom::Never->isReached(90.0 * $day, $window))
        ->toBeFalse();
    // An emulsion counts after its eight hours.
    $emulsion = Window::ofEmulsion();
    expect(LiveFrom::Ready->isReached(7.9 * 3600, $emulsion))
        ->toBeFalse()
        ->and(LiveFrom::Ready->isReached(8.0 * 3600, $emulsion))
        ->toBeTrue();
    foreach (Method::cases() as $method) {
        $stage = $method->profile()->eaten->liveFrom;
        expect($stage === LiveFrom::Never)->toBe(
            in_array($method, [Method::QuickSaltPickle, Method::SpareBrine], true),
        );
    }
});
