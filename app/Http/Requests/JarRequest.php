<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Jar;
use App\Support\InvalidInput;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Jar\Jar as Geometry;
use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Method\Cover;

/**
 * A size of jar.
 */
final class JarRequest extends FormRequest
{
    use PartialUpdate;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...$this->versionRules(),
            'name' => ['required', 'string', 'max:80'],
            'nominalMl' => ['required', 'numeric', 'min:20', 'max:50000'],
            'mouthMm' => ['required', 'numeric', 'min:15', 'max:600'],
            'bodyMm' => ['required', 'numeric', 'min:15', 'max:600'],
            'cover' => ['required', 'string', Rule::enum(Cover::class)],
            'howMany' => ['required', 'integer', 'min:0', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...$this->versionMessages(),
            'name.required' => 'errors.jar_name',
            'nominalMl.*' => 'errors.jar_size',
            'mouthMm.*' => 'errors.jar_width',
            'bodyMm.*' => 'errors.jar_width',
            'cover.*' => 'errors.cover',
            'howMany.*' => 'errors.jar_count',
        ];
    }

    /** @return array<string, mixed> */
    protected function before(): array
    {
        $jar = Jar::query()->findOrFail((string) $this->route('jar'));

        return [
            'name' => $jar->name,
            'nominalMl' => $jar->nominal_ml,
            'mouthMm' => $jar->mouth_mm,
            'bodyMm' => $jar->body_mm,
            'cover' => $jar->cover,
            'howMany' => $jar->how_many,
        ];
    }

    /**
     * @return array<string, mixed> columns of the jar
     *
     * @throws ValidationException when the measures cannot belong to one jar
     */
    public function columns(): array
    {
        try {
            Geometry::of(
                Millilitres::of($this->float('nominalMl')),
                Millimetres::of($this->float('mouthMm')),
                Millimetres::of($this->float('bodyMm')),
            );
        } catch (InvalidQuantity $refusal) {
            throw InvalidInput::at('bodyMm', $refusal->explanation());
        }

        return [
            'name' => $this->string('name')->trim()->value(),
            'nominal_ml' => $this->float('nominalMl'),
            'mouth_mm' => $this->float('mouthMm'),
            'body_mm' => $this->float('bodyMm'),
            'cover' => $this->string('cover')->value(),
            'how_many' => $this->integer('howMany'),
        ];
    }
}
