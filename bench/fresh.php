<?php

declare(strict_types=1);

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Plan\Feasibility;
use Tempesal\Core\Plan\Planner;
use Tempesal\Core\Plan\PlanningProblem;

/*
 * How near the planner comes to the optimum on weeks that nobody has seen: made from a seed that is printed, solved by
 * Debian's coinor-cbc with python3.
 *   PHP_INI_SCAN_DIR=:ops/php php bench/fresh.php [SEED [WEEKS-OF-EACH-SIZE]]
 * The gap is (reference - ours) / max(10, |reference + 100 x live servings missing|).
 */
require dirname(__DIR__) . '/vendor/autoload.php';

/** Eaters, days, meals, offers, how scarce jars are, the share of hard limits, portions or not, the solver's seconds. */
const SIZES = [
    'ordinary' => [4, 7, 2, 12, 1.0, 0.3, false, 30],
    'tight' => [4, 7, 2, 12, 0.3, 0.9, false, 30],
    'with portions' => [4, 7, 2, 12, 0.6, 0.6, true, 30],
    'large' => [6, 7, 3, 20, 1.0, 0.3, false, 60],
    'large with portions' => [6, 7, 3, 20, 0.6, 0.6, true, 60],
];

if (trim((string) shell_exec('command -v cbc')) === '' || trim((string) shell_exec('command -v python3')) === '') {
    exit("Debian's coinor-cbc and python3 solve the reference; one of them is not here.\n");
}
$seed = (int) ($argv[1] ?? random_int(1, 1_000_000_000));
$each = (int) ($argv[2] ?? 12);
echo "seed {$seed}\n";
$script = <<<'PYTHON'
import sys, json, time
sys.path.insert(0, sys.argv[1])
import plan
seed, eaters, days, meals, offers = map(int, sys.argv[2:7])
week = plan.instance(seed, eaters, days, meals, offers, tight=float(sys.argv[7]), hard=float(sys.argv[8]))
week = plan.in_portions(week, seed) if int(sys.argv[9]) else week
began = time.monotonic()
solved = plan.solve(week, patience=float(sys.argv[10]), proven=False)
seconds = time.monotonic() - began
print(json.dumps({"week": week, "solved": solved, "seconds": seconds, "proven": seconds < 0.9 * float(sys.argv[10])}))
PYTHON;
foreach (SIZES as $name => [$eaters, $days, $meals, $offers, $scarce, $hard, $inPortions, $patience]) {
    $gaps = $bounds = $ours = $theirs = [];
    $unproven = $wrong = 0;
    for ($n = 0; $n < $each; $n++) {
        $arguments = [
            dirname(__DIR__) . '/tests/Reference/data',
            $seed + $n,
            $eaters,
            $days,
            $meals,
            $offers,
            $scarce,
            $hard,
            $inPortions ? 1 : 0,
            $patience,
        ];
        $said = shell_exec(
            'python3 -c ' .
                escapeshellarg($script) .
                ' ' .
                implode(' ', array_map(static fn($one): string => escapeshellarg((string) $one), $arguments)),
        );
        ['week' => $week, 'solved' => $solved, 'seconds' => $seconds, 'proven' => $isProven] = json_decode(
            (string) $said,
            true,
            flags: JSON_THROW_ON_ERROR,
        );
        $problem = PlanningProblem::read(Fields::of($week));
        $start = hrtime(true);
        $plan = Planner::plan($problem);
        $ours[] = (hrtime(true) - $start) / 1e9;
        $theirs[] = $seconds;
        $wrong += Feasibility::trouble($problem, $plan->assignments) === null ? 0 : 1;
        if ($solved === null) {
            continue;
        }
        [$optimum, $short] = $solved;
        $missing = array_sum(array_column($plan->toArray()['shortfalls'], 'missing'));
        $unproven += $isProven ? 0 : 1;
        // What the solver did not prove may be passed; a bound may not.
        $wrong +=
            $plan->bound < $optimum - 1e-6 || ($isProven && ($missing > $short || $plan->objective > $optimum + 1e-6))
                ? 1
                : 0;
        $size = max(10.0, abs($optimum + 100.0 * $short));
        $gaps[] = (100.0 * ($optimum - $plan->objective)) / $size;
        $bounds[] = (100.0 * ($plan->bound - max($optimum, $plan->objective))) / $size;
    }
    sort($bounds);
    echo sprintf(
        '%-19s %d x %d x %d x %d: %.2f %% behind on average, %.2f %% at worst; ' .
            'bound off by %.1f %% in the median, %.1f %% at worst; ' .
            "%.1f s in all, %.1f s at most, cbc %.1f s; %d not proven by cbc, %d wrong\n",
        $name,
        $eaters,
        $days,
        $meals,
        $offers,
        array_sum($gaps) / max(1, count($gaps)),
        $gaps === [] ? 0.0 : max($gaps),
        $bounds[intdiv(count($bounds), 2)] ?? 0.0,
        $bounds === [] ? 0.0 : max($bounds),
        array_sum($ours),
        max($ours),
        array_sum($theirs),
        $unproven,
        $wrong,
    );
}
