<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Account\PasswordRule;
use App\Account\SignedIn;
use App\Actions\DeleteKitchen;
use App\Actions\LeaveKitchen;
use App\Household\Access;
use App\Household\CurrentHousehold;
use App\Household\HouseholdTransaction;
use App\Http\Responses\SessionState;
use App\Models\Invitation;
use App\Models\Membership;
use App\Models\Person;
use App\Models\ReportLink;
use App\Models\User;
use App\Support\InvalidInput;
use App\Views\MembersView;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Tempesal\Core\Message\Message;

/**
 * Who may enter the kitchen, and who outside reads a report.
 */
final readonly class MemberController
{
    /** The longest that somebody outside may read a report, in days. */
    private const LONGEST_REPORT = 90;

    public function __construct(private CurrentHousehold $current) {}

    public function index(Request $request, int $status = 200): JsonResponse
    {
        $user = $request->user();

        return new JsonResponse(
            MembersView::of($this->current->get(), $user instanceof User ? $user : null, $this->current->access()),
            $status,
        );
    }

    public function update(Request $request, string $member, HouseholdTransaction $transaction): JsonResponse
    {
        $typed = $request->validate(
            ['access' => ['required', 'string', Rule::enum(Access::class)]],
            ['access.*' => 'errors.choice'],
        );
        $transaction(function () use ($member, $typed): void {
            $membership = Membership::of($this->current->get())->findOrFail($member);
            $access = Access::from($typed['access']);
            if ($access !== Access::Keep && $membership->isLastKeeper()) {
                throw InvalidInput::at('access', Message::of('errors.last_keeper'));
            }
            $membership->update(['access' => $access]);
        });

        return $this->index($request);
    }

    public function remove(Request $request, string $member, LeaveKitchen $leave): JsonResponse
    {
        $leave(Membership::of($this->current->get())->findOrFail($member));

        return $this->index($request);
    }

    public function invite(Request $request): JsonResponse
    {
        $typed = $request->validate(
            [
                'access' => ['required', 'string', Rule::enum(Access::class)],
                'forWhom' => [
                    'required',
                    'string',
                    'max:60',
                    // Sent twice, it would let in two.
                    Rule::unique('invitations', 'for_whom')
                        ->where('household_id', $this->current->id())
                        ->where(static fn(Builder $query) => $query->where('expires_at', '>', CarbonImmutable::now())),
                ],
            ],
            [
                'access.*' => 'errors.choice',
                'forWhom.unique' => 'errors.invitation_taken',
                'forWhom.*' => 'errors.name',
            ],
        );
        Invitation::issue(Access::from($typed['access']), trim((string) $typed['forWhom']));

        return $this->index($request, 201);
    }

    public function withdraw(Request $request, string $invitation): JsonResponse
    {
        Invitation::query()->findOrFail($invitation)->delete();

        return $this->index($request);
    }

    public function share(Request $request): JsonResponse
    {
        $typed = $request->validate(
            [
                'personId' => ['required', 'string', 'max:26'],
                'days' => ['required', 'integer', 'min:1', 'max:' . self::LONGEST_REPORT],
            ],
            ['personId.*' => 'errors.which_person', 'days.*' => 'errors.report_days'],
        );
        ReportLink::issue(Person::query()->findOrFail((string) $typed['personId'])->id, (int) $typed['days']);

        return $this->index($request, 201);
    }

    public function unshare(Request $request, string $reportLink): JsonResponse
    {
        ReportLink::query()->findOrFail($reportLink)->delete();

        return $this->index($request);
    }

    /** The kitchen with everything in it. Its name has to be written out. */
    public function destroy(Request $request, DeleteKitchen $delete): JsonResponse
    {
        $household = $this->current->get();
        $typed = $request->validate(
            ['name' => ['required', 'string', 'max:80'], 'password' => PasswordRule::current()],
            [
                'name.*' => 'errors.kitchen_name_again',
                'password.required' => 'errors.password_missing',
                'password.*' => 'errors.password_wrong',
            ],
        );
        if (mb_strtolower(trim((string) $typed['name'])) !== mb_strtolower($household->name)) {
            throw InvalidInput::at('name', Message::of('errors.kitchen_name_again'));
        }
        $user = $request->user();
        $delete($household);
        $rest = $user instanceof User ? User::query()->find($user->id) : null;
        if ($rest === null) {
            SignedIn::end($request);
        }

        return SessionState::answer($rest);
    }
}
