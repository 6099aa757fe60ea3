<?php

declare(strict_types=1);

namespace App\Account;

use App\Models\User;
use Illuminate\Cache\RateLimiter;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;

/**
 * How often somebody may try: to sign in, to open a kitchen, to ask for a new password. Counted by account, by address and by
 * network, each with a limit of its own: many may sit behind one address, and nobody is to lock out another's account
 * from elsewhere.
 */
final readonly class SignInLimits
{
    private const MINUTE_S = 60;

    /** How many of what, in how many seconds. */
    private const WRONG_FROM_ONE_NETWORK = [8, 10 * self::MINUTE_S];

    private const WRONG_IN_ALL = [100, 60 * self::MINUTE_S];

    private const TRIES_BY_ADDRESS = [60, self::MINUTE_S];

    private const TRIES_BY_NETWORK = [300, self::MINUTE_S];

    private const RESETS_BY_ACCOUNT = [3, 60 * self::MINUTE_S];

    private const RESETS_BY_ADDRESS = [20, 60 * self::MINUTE_S];

    private const NOBODY = 'nobodys-password';

    private const KITCHENS_S = 10 * self::MINUTE_S;

    public function __construct(private RateLimiter $limiter) {}

    /**
     * The cook whose address and password these are; null where they are nobody's. It takes as long either way.
     *
     * @throws ThrottleRequestsException
     */
    public function signIn(Request $request, string $email, #[\SensitiveParameter] string $password): ?User
    {
        $this->count($request, 'sign-in', self::TRIES_BY_ADDRESS, self::TRIES_BY_NETWORK);
        $account = self::account($email);
        $here = "wrong|{$account}|" . self::network($request);
        $this->check($here, self::WRONG_FROM_ONE_NETWORK);
        $this->check("wrong|{$account}", self::WRONG_IN_ALL);
        $user = User::withEmail($email);
        $isRight = Hash::check($password, $user->password ?? self::nobodysHash());
        if ($user === null || !$isRight) {
            $this->limiter->hit($here, self::WRONG_FROM_ONE_NETWORK[1]);
            $this->limiter->hit("wrong|{$account}", self::WRONG_IN_ALL[1]);

            return null;
        }
        $this->limiter->clear($here);

        return $user;
    }

    /** @throws ThrottleRequestsException */
    public function kitchen(Request $request): void
    {
        $most = Config::integer('tempesal.kitchens_at_once');
        $this->count($request, 'kitchen', [$most, self::KITCHENS_S], [3 * $most, self::KITCHENS_S]);
    }

    /** @throws ThrottleRequestsException */
    public function reset(Request $request, string $email): void
    {
        $this->count($request, 'reset', self::RESETS_BY_ADDRESS, self::TRIES_BY_NETWORK);
        $account = 'reset|' . self::account($email);
        $this->check($account, self::RESETS_BY_ACCOUNT);
        $this->limiter->hit($account, self::RESETS_BY_ACCOUNT[1]);
    }

    /** @throws ThrottleRequestsException */
    public function resetTry(Request $request): void
    {
        $this->count($request, 'reset-try', self::TRIES_BY_ADDRESS, self::TRIES_BY_NETWORK);
    }

    /** The hash of no password, for an account that is not there. */
    public static function nobodysHash(): string
    {
        $kept = cache()->get(self::NOBODY);
        if (!is_string($kept) || Hash::needsRehash($kept)) {
            $kept = Hash::make(Str::random(40));
            cache()->forever(self::NOBODY, $kept);
        }

        return $kept;
    }

    /**
     * @param  array{int, int}  $byAddress
     * @param  array{int, int}  $byNetwork
     */
    private function count(Request $request, string $what, array $byAddress, array $byNetwork): void
    {
        foreach (
            [[$what . '|' . $request->ip(), $byAddress], [$what . '||' . self::network($request), $byNetwork]]
            as [$key, $limit]
        ) {
            $this->check($key, $limit);
            $this->limiter->hit($key, $limit[1]);
        }
    }

    /** @param  array{int, int}  $limit */
    private function check(string $key, array $limit): void
    {
        if ($this->limiter->tooManyAttempts($key, $limit[0])) {
            throw new ThrottleRequestsException('', null, ['Retry-After' => $this->limiter->availableIn($key)]);
        }
    }

    private static function account(string $email): string
    {
        return hash('sha256', mb_strtolower(trim($email)));
    }

    /** The first three bytes of an address, or the first three groups of a long one. */
    private static function network(Request $request): string
    {
        $packed = (string) @inet_pton((string) $request->ip());

        return bin2hex(substr($packed, 0, strlen($packed) === 4 ? 3 : 6));
    }
}
