<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/**
 * Lists of words in a request: ids, or values of an enum.
 *
 * @mixin FormRequest
 */
trait ListFields
{
    /** @return list<string> each of them once; none where the field was left out */
    private function words(string $field): array
    {
        /** @var list<string>|null $words  as the rules of the request say */
        $words = $this->validated($field);

        return array_values(array_unique($words ?? []));
    }
}
