<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Salt;
use Illuminate\Foundation\Http\FormRequest;
use Tempesal\Core\Measure\Band;

/**
 * A salt of the cook's own.
 */
final class SaltRequest extends FormRequest
{
    use PartialUpdate;

    /** A salt nobody has weighed may lie this much looser or denser in the spoon: common practice, no source. */
    private const UNWEIGHED = 0.15;

    /** Pure salt holds 39.3 g of sodium in 100 g; what the cook says may be off by this much. */
    private const OFF = 0.01;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...$this->versionRules(),
            'name' => ['required', 'string', 'max:80'],
            'gramsPerTablespoon' => ['required', 'numeric', 'min:2', 'max:30'],
            'sodiumPer100g' => ['required', 'numeric', 'min:1000', 'max:39340'],
            'iodised' => ['required', 'boolean'],
            'antiCaking' => ['required', 'boolean'],
            'potassium' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->versionMessages(),
            'name.required' => 'errors.salt_name',
            'gramsPerTablespoon.*' => 'errors.salt_tablespoon',
            'sodiumPer100g.*' => 'errors.salt_sodium',
        ];
    }

    /** @return array<string, mixed> */
    protected function before(): array
    {
        $salt = Salt::query()->findOrFail((string) $this->route('salt'));

        return [
            'name' => $salt->name,
            'gramsPerTablespoon' => $salt->product()->gramsPerTablespoon->typical,
            'sodiumPer100g' => $salt->product()->sodiumPer100g->typical,
            'iodised' => $salt->iodised,
            'antiCaking' => $salt->anti_caking,
            'potassium' => $salt->potassium,
        ];
    }

    /** @return array<string, mixed> columns of the salt */
    public function columns(): array
    {
        $grams = $this->float('gramsPerTablespoon');
        $sodium = $this->float('sodiumPer100g');

        return [
            'name' => $this->string('name')->trim()->value(),
            // A spoon that was weighed stays so, unless another weight is given.
            ...$this->isSent('gramsPerTablespoon')
                ? [...Salt::density()->write(Band::around($grams, self::UNWEIGHED * $grams)), 'calibrated' => false]
                : [],
            ...$this->isSent('sodiumPer100g')
                ? Salt::sodium()->write(
                    Band::of($sodium * (1.0 - self::OFF), $sodium, min(39_340.0, $sodium * (1.0 + self::OFF))),
                )
                : [],
            'water_g_per_100g' => 0.0,
            'iodised' => $this->boolean('iodised'),
            'anti_caking' => $this->boolean('antiCaking'),
            'potassium' => $this->boolean('potassium'),
            'own' => true,
        ];
    }
}
