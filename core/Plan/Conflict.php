<?php

declare(strict_types=1);

namespace Tempesal\Core\Plan;

use Tempesal\Core\Intake\RemedyKind;
use Tempesal\Core\Message\Day;
use Tempesal\Core\Message\Message;

/**
 * Something in a week that does not go together, in words, and what would help.
 */
final readonly class Conflict
{
    /** Levers that are shown of each. */
    private const LEVERS = 5;

    /**
     * @param  int|null  $eater  whom it concerns; null: everyone who eats of the jar
     * @param  list<Suggestion>  $suggestions
     * @param  list<string>  $servings  ids of the servings it is about
     */
    private function __construct(
        public string $code,
        public Message $text,
        public ?int $eater,
        public ?int $day,
        public ?int $jar,
        public array $servings,
        public array $suggestions,
    ) {}

    /**
     * @param  list<string>  $dates  of the week, YYYY-MM-DD
     * @return list<self> what may not be first
     */
    public static function all(WeekPlan $week, array $dates): array
    {
        $found = [
            ...self::objections($week, $dates),
            ...self::shortages($week, $dates),
            ...self::excesses($week, $dates),
            ...self::lacks($week, $dates),
        ];
        $order = [
            'closed' => 0,
            'not_for' => 0,
            'not_yet' => 1,
            'too_late' => 1,
            'runs_short' => 2,
            'past_limit' => 3,
            'past_target' => 4,
            'nothing_live' => 5,
        ];
        usort(
            $found,
            static fn(self $one, self $other): int => [$order[$one->code], $one->day, $one->eater] <=> [
                $order[$other->code],
                $other->day,
                $other->eater,
            ],
        );

        return $found;
    }

    /**
     * @param  list<string>  $dates
     * @return list<self>
     */
    private static function objections(WeekPlan $week, array $dates): array
    {
        $found = [];
        foreach ($week->coming as $serving) {
            $jar = $week->jars[$serving->jar];
            $why = $jar->objection($serving->eater, $serving->day);
            if ($why === null) {
                continue;
            }
            $who = ['jar' => $jar->name, 'day' => new Day($dates[$serving->day])];
            [$code, $text] = match (true) {
                $jar->closed !== null => [
                    'closed',
                    Message::of('conflict.closed', ...[...$who, 'why' => $jar->closed]),
                ],
                $jar->notFor[$serving->eater] !== null => [
                    'not_for',
                    Message::of(
                        'conflict.not_for',
                        ...[
                            ...$who,
                            'eater' => $week->eaters[$serving->eater]->name,
                            'why' => $jar->notFor[$serving->eater],
                        ],
                    ),
                ],
                $serving->day < $jar->readyOn => [
                    'not_yet',
                    $jar->readyOn < WeekPlan::DAYS
                        ? Message::of('conflict.not_yet', ...[...$who, 'ready' => new Day($dates[$jar->readyOn])])
                        : Message::of('conflict.not_this_week', ...$who),
                ],
                default => ['too_late', Message::of('conflict.too_late', ...$who)],
            };
            $found[] = new self(
                $code,
                $text,
                $serving->eater,
                $serving->day,
                $serving->jar,
                [$serving->id],
                array_slice(Suggestions::awayFrom($week, $serving, $dates), 0, self::LEVERS),
            );
        }

        return $found;
    }

    /**
     * @param  list<string>  $dates
     * @return list<self>
     */
    private static function shortages(WeekPlan $week, array $dates): array
    {
        $found = [];
        foreach ($week->jars as $i => $jar) {
            $day = $week->runsShortOn($i);
            if ($day === null || $jar->closed !== null) {
                continue;
            }
            $after = array_values(
                array_filter($week->coming, static fn(WeekServing $one): bool => $one->jar === $i && $one->day >= $day),
            );
            $left = $week->left($i);
            $suggestions = [];
            foreach ($after as $serving) {
                array_push(
                    $suggestions,
                    ...array_filter(
                        Suggestions::awayFrom($week, $serving, $dates),
                        static fn(Suggestion $lever): bool => $lever->kind !== RemedyKind::OtherDay,
                    ),
                );
            }
            $found[] = new self(
                'runs_short',
                Message::of(
                    'conflict.runs_short',
                    jar: $jar->name,
                    day: new Day($dates[$day]),
                    grams: (int) ceil(-end($left)),
                ),
                null,
                $day,
                $i,
                array_column($after, 'id'),
                array_slice($suggestions, 0, self::LEVERS),
            );
        }

        return $found;
    }

    /**
     * @param  list<string>  $dates
     * @return list<self>
     */
    private static function excesses(WeekPlan $week, array $dates): array
    {
        $found = [];
        foreach ($week->eaters as $m => $eater) {
            for ($day = $week->first(); $day < WeekPlan::DAYS; $day++) {
                $there = $week->on($m, $day);
                $over = -$week->margin($m, $day);
                if ($there === [] || $over < 1.0) {
                    continue;
                }
                $allowance = $eater->allowance[$day];
                $found[] = new self(
                    $eater->isHard ? 'past_limit' : 'past_target',
                    Message::of(
                        'conflict.past',
                        eater: $eater->name,
                        day: new Day($dates[$day]),
                        mg: (int) round($over),
                        which: $eater->isHard ? 'limit' : 'target',
                        isFull: $allowance <= 0.0 ? 'yes' : 'no',
                    ),
                    $m,
                    $day,
                    null,
                    array_column($there, 'id'),
                    array_slice(
                        Suggestions::of(
                            $week,
                            $there,
                            min($over, array_sum(array_map($week->milligrams(...), $there))),
                            $dates,
                        ),
                        0,
                        self::LEVERS,
                    ),
                );
            }
        }

        return $found;
    }

    /**
     * @param  list<string>  $dates
     * @return list<self>
     */
    private static function lacks(WeekPlan $week, array $dates): array
    {
        $plan = WeekFiller::asItIs($week);
        $found = [];
        foreach ($plan === null ? [] : Shortfall::of($plan) as $one) {
            $eater = (int) array_search($one->eater, array_column($week->eaters, 'id'), true);
            $day = $one->day + $week->first();
            $found[] = new self(
                'nothing_live',
                Message::of(
                    'conflict.nothing_live',
                    eater: $week->eaters[$eater]->name,
                    day: new Day($dates[$day]),
                    missing: $one->missing,
                    reason: $one->reason,
                ),
                $eater,
                $day,
                null,
                [],
                Suggestions::toFeed($week, $eater, $day, $dates),
            );
        }

        return $found;
    }
}
