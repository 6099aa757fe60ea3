<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Room;
use Illuminate\Foundation\Http\FormRequest;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Tempesal\Core\Method\Place;

/**
 * How warm a place usually is.
 */
final class RoomRequest extends FormRequest
{
    use PartialUpdate;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...$this->versionRules(),
            'usualCelsius' => ['required', 'numeric', 'min:-5', 'max:45'],
            'swingCelsius' => ['required', 'numeric', 'min:0', 'max:15'],
            'warmestHour' => ['required', 'integer', 'min:0', 'max:23'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->versionMessages(),
            'usualCelsius.*' => 'errors.place_temperature',
            'swingCelsius.*' => 'errors.swing',
            'warmestHour.*' => 'errors.hour_of_day',
        ];
    }

    public function place(): Place
    {
        return Place::tryFrom((string) $this->route('place')) ?? throw new NotFoundHttpException();
    }

    /** @return array<string, mixed> */
    protected function before(): array
    {
        $room = Room::at($this->place());

        return [
            'usualCelsius' => $room->usual_celsius,
            'swingCelsius' => $room->swing_celsius,
            'warmestHour' => $room->warmest_hour,
        ];
    }
}
