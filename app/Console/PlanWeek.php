<?php

declare(strict_types=1);

namespace App\Console;

use App\Language\Words;
use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Plan\Planner;
use Tempesal\Core\Plan\PlanningProblem;

/**
 * A week to be planned as JSON in, the planned week out.
 */
final class PlanWeek
{
    /**
     * @return array<string, mixed>
     *
     * @throws InputError
     */
    public static function plan(string $text): array
    {
        try {
            $fields = Fields::of(JsonInput::decode($text));
            $problem = PlanningProblem::read($fields);
            $fields->refuseUnread();

            return Words::here()->inWords(Planner::plan($problem)->toArray());
        } catch (InvalidField $refusal) {
            throw InputError::at($refusal->path, $refusal->explanation());
        }
    }
}
