<?php

declare(strict_types=1);

namespace App\Http\Responses;

use App\Household\CurrentHousehold;
use App\Intake\CultureLogs;
use App\Intake\Intakes;
use App\Models\Person;
use App\Support\InvalidInput;
use App\Views\IntakeView;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Intake\IntakePeriod;
use Tempesal\Core\Message\Message;

/**
 * What one person took in over some days.
 */
final readonly class IntakePage
{
    public function __construct(private CurrentHousehold $current) {}

    /**
     * @param  IntakePeriod|null  $beside  other days, or someone else's, called by this name
     * @return array<string, mixed>
     *
     * @throws ValidationException where nothing was kept of them yet
     */
    public function of(
        Person $person,
        string $from,
        string $to,
        ?IntakePeriod $beside = null,
        ?Message $name = null,
    ): array {
        $household = $this->current->get();
        $kept =
            Intakes::of($person, $from, $to) ??
            throw InvalidInput::at('from', Message::of('errors.no_intake', name: $person->name));

        return [
            'from' => $kept->days[0]->date,
            'to' => $to,
            'today' => $household->today(),
            ...IntakeView::of($person, $kept, CultureLogs::of($person, $household), $beside, $name),
        ];
    }
}
