<?php

declare(strict_types=1);

use App\Console\ComputeBatch;
use App\Console\InputError;
use App\Console\JsonInput;
use App\Console\PlanWeek;
use App\Console\ReadAmounts;
use Tempesal\Core\Message\Message;

/*
 * Doors to the core for the command line: ops/console.php compute FILE or plan FILE, or - for standard input; and
 * amount PHRASE, or - for lines of them.
 * Prints JSON; bad input goes to standard error with the path of the field, and the exit code is 2.
 */
require dirname(__DIR__) . '/vendor/autoload.php';

[, $door, $source] = [...$argv, '', '', ''];
try {
    if ($door === 'amount') {
        exit(ReadAmounts::run(array_slice($argv, 2)));
    }
    $answer = match ($door) {
        'compute' => ComputeBatch::compute(JsonInput::text($source)),
        'plan' => PlanWeek::plan(JsonInput::text($source)),
        default => throw InputError::at('', Message::of('errors.no_command', name: $door)),
    };
} catch (InputError $refusal) {
    fwrite(STDERR, $refusal->getMessage() . "\n");
    exit(2);
}
echo json_encode($answer, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR),
    "\n";
