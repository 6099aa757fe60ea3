<?php

declare(strict_types=1);

namespace App\Household;

/**
 * Which access a request asks for, by its method and the pattern of its address. Whatever writes and is not named here is
 * for those who keep the kitchen.
 */
final class AccessRules
{
    /** They write nothing, though they are sent with a body. */
    private const READING = [
        'POST api/bench',
        'POST api/batches/{batch}/steps/{step}/preview',
        'POST api/batches/{batch}/entries/{entry}/reversal/preview',
        'POST api/batches/{batch}/preview',
        'POST api/batches/{batch}/questions',
        'POST api/batches/{batch}/check/preview',
        'POST api/formulas/compute',
        'POST api/formulas/preview',
        'POST api/intake/preview',
    ];

    /** What belongs to whoever is signed in, and not to the kitchen. */
    private const ONES_OWN = [
        'DELETE api/session',
        'PUT api/account',
        'PUT api/account/password',
        'PUT api/account/kitchen',
        'DELETE api/account',
        'DELETE api/account/devices',
        'DELETE api/account/devices/{device}',
        'POST api/account/tokens',
        'DELETE api/account/tokens/{token}',
        'DELETE api/account/kitchens/{kitchen}',
    ];

    /** What was eaten, done and read off, for anybody; and taking that back. */
    private const LOGGING = [
        'POST api/servings',
        'PUT api/servings/{serving}',
        'PUT api/servings/{serving}/dish',
        'DELETE api/servings/{serving}',
        'POST api/dishes',
        'POST api/other-foods',
        'POST api/other-foods/again',
        'PUT api/other-foods/{otherFood}',
        'DELETE api/other-foods/{otherFood}',
        'POST api/batches/{batch}/steps/{step}/done',
        'POST api/batches/{batch}/steps/{step}/skipped',
        'DELETE api/batches/{batch}/steps/{step}/done',
        'POST api/batches/{batch}/notes',
        'POST api/notes/{note}/photo',
        'POST api/batches/{batch}/check',
        'POST api/practice',
        'POST api/chores/marks',
        'DELETE api/chores/marks/{mark}',
        'POST api/rooms/{place}/readings',
        'POST api/rooms/{place}/log',
    ];

    /** Addresses that let in whoever knows them, and who else does. */
    private const SECRETS = ['GET api/calendar'];

    /** What would close the demo to whoever comes next. */
    private const NOT_IN_DEMO = [
        'PUT api/account',
        'PUT api/account/password',
        'DELETE api/account',
        'DELETE api/kitchen',
    ];

    public static function isOpenInDemo(string $method, string $address): bool
    {
        return !in_array("{$method} {$address}", self::NOT_IN_DEMO, true);
    }

    public static function of(string $method, string $address): Access
    {
        $asked = "{$method} {$address}";

        return match (true) {
            in_array($asked, self::SECRETS, true) => Access::Keep,
            in_array($method, ['GET', 'HEAD'], true),
            in_array($asked, self::READING, true),
            in_array($asked, self::ONES_OWN, true)
                => Access::Read,
            in_array($asked, self::LOGGING, true) => Access::Log,
            default => Access::Keep,
        };
    }

    /** Whether a token may ask for it at all: what belongs to a cook is for the cook alone. */
    public static function isOnesOwn(string $method, string $address): bool
    {
        return in_array("{$method} {$address}", self::ONES_OWN, true) || $address === 'api/account';
    }
}
