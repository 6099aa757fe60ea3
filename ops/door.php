<?php

declare(strict_types=1);

use App\Doors\ComputeDoor;
use App\Doors\JsonDoor;
use App\Doors\PlanDoor;
use App\Doors\Refused;

/*
 * Doors to the core for the command line: ops/door.php compute FILE or plan FILE, or - for standard input.
 * Prints JSON; bad input goes to standard error with the path of the field, and the exit code is 2.
 */
require dirname(__DIR__).'/vendor/autoload.php';

[, $door, $source] = [...$argv, '', '', ''];
try {
    $answer = match ($door) {
        'compute' => ComputeDoor::compute(JsonDoor::text($source)),
        'plan' => PlanDoor::plan(JsonDoor::text($source)),
        default => throw Refused::at('', "There is no door \"{$door}\"."),
    };
} catch (Refused $refusal) {
    fwrite(STDERR, $refusal->getMessage()."\n");
    exit(2);
}
echo json_encode($answer, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR), "\n";
