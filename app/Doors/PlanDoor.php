<?php

declare(strict_types=1);

namespace App\Doors;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Plan\Instance;
use Tempesal\Core\Plan\Planner;

/**
 * A week to be planned as JSON in, the planned week out.
 */
final class PlanDoor
{
    /**
     * @return array<string, mixed>
     *
     * @throws Refused
     */
    public static function plan(string $text): array
    {
        try {
            $fields = Fields::of(JsonDoor::decode($text));
            $instance = Instance::read($fields);
            $fields->refuseUnread();

            return Planner::plan($instance)->toArray();
        } catch (InvalidField $refusal) {
            throw Refused::at($refusal->path, $refusal->reason);
        }
    }
}
