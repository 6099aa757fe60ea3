<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Account\EmailInput;
use App\Account\PasswordRule;
use App\Account\SignedIn;
use App\Actions\CloseAccount;
use App\Actions\EndSessions;
use App\Actions\LeaveKitchen;
use App\Household\Access;
use App\Http\Responses\SessionState;
use App\Models\AccessToken;
use App\Models\Device;
use App\Models\Membership;
use App\Models\User;
use App\Support\InvalidInput;
use App\Views\AccountView;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Tempesal\Core\Message\Message;

/**
 * What belongs to a cook and not to a kitchen: name, address, password, devices, tokens, which kitchen is open.
 */
final readonly class AccountController
{
    private const MOST_TOKENS = 50;

    public function show(Request $request): JsonResponse
    {
        return new JsonResponse(AccountView::of(self::user($request), SignedIn::device($request)));
    }

    /** The name, and the address with the password beside it. */
    public function update(Request $request): JsonResponse
    {
        $user = self::user($request);
        EmailInput::normalise($request);
        $typed = $request->validate(
            [
                'name' => ['present', 'nullable', 'string', 'max:60'],
                'email' => ['required', 'string', 'email', 'max:190', Rule::unique('users')->ignore($user->id)],
                'password' => PasswordRule::current($request->input('email') !== $user->email),
            ],
            self::words(),
        );
        $user->update(['name' => trim((string) $typed['name']), 'email' => $typed['email']]);

        return $this->show($request);
    }

    /** A new password ends all other sessions. */
    public function changePassword(Request $request): JsonResponse
    {
        $user = self::user($request);
        $typed = $request->validate(
            [
                'password' => PasswordRule::current(true),
                'newPassword' => [
                    'required',
                    'string',
                    new PasswordRule([$user->email, $user->name, $user->household->name]),
                ],
            ],
            ['newPassword.required' => 'errors.password_missing', ...self::words()],
        );
        $user->update(['password' => $typed['newPassword']]);
        SignedIn::endOthers($request, $user);

        return $this->show($request);
    }

    public function signOutDevice(Request $request, string $device): JsonResponse
    {
        self::user($request)->devices()->findOrFail($device)->delete();

        return $this->show($request);
    }

    /** Everywhere but here: sessions, tokens and the addresses of calendars. */
    public function signOutEverywhere(Request $request, EndSessions $end): JsonResponse
    {
        $end($request, self::user($request));

        return $this->show($request);
    }

    /** The token itself is told once, here. */
    public function makeToken(Request $request): JsonResponse
    {
        $user = self::user($request);
        $own = Membership::query()
            ->where('user_id', $user->id)
            ->where('household_id', $user->household_id)
            ->firstOrFail();
        $typed = $request->validate(
            [
                'name' => [
                    'required',
                    'string',
                    'max:60',
                    Rule::unique('access_tokens')
                        ->where('tokenable_id', $user->id)
                        ->where('household_id', $user->household_id),
                ],
                'access' => ['required', 'string', Rule::enum(Access::class)],
                'days' => ['nullable', 'integer', 'min:1', 'max:3650'],
            ],
            [
                'name.required' => 'errors.token_name',
                'name.unique' => 'errors.token_taken',
                'name.*' => 'errors.token_name',
                'access.*' => 'errors.choice',
                'days.*' => 'errors.token_days',
            ],
        );
        if ($user->tokens()->count() >= self::MOST_TOKENS) {
            throw InvalidInput::at('name', Message::of('errors.token_many', most: self::MOST_TOKENS));
        }
        $secret = Config::string('sanctum.token_prefix') . Str::random(48);
        $token = new AccessToken();
        $token
            ->forceFill([
                'household_id' => $user->household_id,
                'tokenable_id' => $user->id,
                'tokenable_type' => $user->getMorphClass(),
                'name' => $typed['name'],
                'token' => hash('sha256', $secret),
                'abilities' => [Access::from($typed['access'])->within($own->access)->value],
                'expires_at' => isset($typed['days']) ? CarbonImmutable::now()->addDays((int) $typed['days']) : null,
            ])
            ->save();

        return new JsonResponse(
            [...AccountView::of($user, SignedIn::device($request)), 'token' => "{$token->id}|{$secret}"],
            201,
        );
    }

    public function withdrawToken(Request $request, string $token): JsonResponse
    {
        self::user($request)->tokens()->findOrFail((int) $token)->delete();

        return $this->show($request);
    }

    /** Opens another kitchen of this cook. */
    public function openKitchen(Request $request): JsonResponse
    {
        $user = self::user($request);
        $typed = $request->validate(['kitchenId' => ['required', 'string', 'max:26']], ['*' => 'errors.choice']);
        $membership = $user->memberships()->where('household_id', $typed['kitchenId'])->firstOrFail();
        $user->update(['household_id' => $membership->household_id]);

        return SessionState::answer($user->refresh());
    }

    public function leave(Request $request, string $kitchen, LeaveKitchen $leave): JsonResponse
    {
        $user = self::user($request);
        $leave($user->memberships()->where('household_id', $kitchen)->firstOrFail());
        $rest = User::query()->find($user->id);
        if ($rest === null) {
            SignedIn::end($request);
        }

        return SessionState::answer($rest);
    }

    public function close(Request $request, CloseAccount $close): JsonResponse
    {
        $request->validate(['password' => PasswordRule::current(true)], self::words());
        $close(self::user($request));
        SignedIn::end($request);

        return SessionState::answer(null);
    }

    /** @return array<string, string> */
    private static function words(): array
    {
        return [
            'name.*' => 'errors.name',
            'email.required' => 'errors.email_missing',
            'email.unique' => 'errors.email_taken',
            'email.*' => 'errors.email_invalid',
            'password.required' => 'errors.password_missing',
            'password.*' => 'errors.password_wrong',
        ];
    }

    private static function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : abort(401);
    }
}
