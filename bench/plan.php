<?php

declare(strict_types=1);

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Plan\Planner;
use Tempesal\Core\Plan\PlanningProblem;

/*
 * How long the largest weeks take to plan, and how far they stay behind the proven optimum; against the whole process of cbc
 * where Debian's coinor-cbc and python3 are installed:
 *   PHP_INI_SCAN_DIR=:ops/php php bench/plan.php
 */
require dirname(__DIR__) . '/vendor/autoload.php';

$weeks = json_decode(
    (string) file_get_contents(dirname(__DIR__) . '/tests/Reference/data/plans.json'),
    true,
    flags: JSON_THROW_ON_ERROR,
);
$cbc = trim((string) shell_exec('command -v cbc')) !== '' && trim((string) shell_exec('command -v python3')) !== '';
foreach ($weeks as $n => ['optimum' => $optimum, 'week' => $week]) {
    if (count($week['eaters']) * count($week['offers']) < 120) {
        continue;
    }
    $problem = PlanningProblem::read(Fields::of($week));
    $start = hrtime(true);
    $plan = Planner::plan($problem);
    $planned = (hrtime(true) - $start) / 1e9;
    $line = sprintf(
        'week %d, 6 eaters x 7 days x 3 meals x 20 offers: %.2f s, %.2f %% behind the optimum',
        $n,
        $planned,
        (100.0 * ($optimum - $plan->objective)) / abs($optimum),
    );
    if ($cbc) {
        $model = tempnam(sys_get_temp_dir(), 'week') . '.lp';
        $script =
            'import sys, json; sys.path.insert(0, sys.argv[1]); import plan; open(sys.argv[2], "w").write(plan.programme(json.load(sys.stdin)))';
        $python = proc_open(
            ['python3', '-c', $script, dirname(__DIR__) . '/tests/Reference/data', $model],
            [['pipe', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
        );
        if (is_resource($python)) {
            fwrite($pipes[0], json_encode($week, JSON_THROW_ON_ERROR));
            fclose($pipes[0]);
            proc_close($python);
            $start = hrtime(true);
            shell_exec('cbc ' . escapeshellarg($model) . ' solve 2>/dev/null');
            $solved = (hrtime(true) - $start) / 1e9;
            $line .= sprintf('; cbc %.2f s, that is %.1f times as long', $solved, $solved / $planned);
            unlink($model);
        }
    }
    echo $line, "\n";
}
