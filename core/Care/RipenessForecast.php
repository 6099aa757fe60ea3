<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Ferment\Ripening;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Milestone;
use Tempesal\Core\Method\Window;

/**
 * When a batch will be young, ready and long: the days of its window, run at the temperatures it has had and has now.
 */
final readonly class RipenessForecast
{
    /** Nobody waits longer. */
    private const LONGEST_S = 5.0 * 365.0 * 86_400.0;

    /**
     * Seconds since the batch was begun; null where it stands too cold to get there, or nothing ripens.
     */
    private function __construct(public ?float $young, public ?float $ready, public ?float $long) {}

    /** @param  Ledger  $history  all of it, what is still to come included */
    public static function of(Ledger $history, Window $window): self
    {
        $milestones = $history->milestones();
        $at = static fn(float $days): ?float => self::moment(
            $milestones,
            $history,
            $days * 86_400.0 * Ripening::factor($window->temperature),
        );

        return new self($at($window->youngDays), $at($window->readyDays), $at($window->longDays));
    }

    /**
     * Seconds since it was begun at which a batch has ripened as far as so many days at the reference temperature take
     * it; null where it stands too cold to get there.
     */
    public static function whenRipened(Ledger $history, float $days): ?float
    {
        return self::moment($history->milestones(), $history, $days * 86_400.0);
    }

    /**
     * The moment at which it has ripened so far.
     *
     * @param  list<Milestone>  $milestones  after each line
     * @param  float  $ripened  seconds at the reference temperature
     */
    private static function moment(array $milestones, Ledger $history, float $ripened): ?float
    {
        foreach ($milestones as $i => $stood) {
            $until = isset($milestones[$i + 1]) ? $history->lines[$i + 1]->at ?? $stood->clock : self::LONGEST_S;
            if ($stood->ripened >= $ripened) {
                return $stood->clock;
            }
            $bath = $stood->bath;
            if ($bath === null || $until <= $stood->clock) {
                continue;
            }
            $reached = $bath->temperature->whenReaches(
                $ripened - $stood->ripened,
                $stood->clock - $bath->beganAt,
                Ripening::factor(...),
            );
            if ($reached !== null && $reached + $bath->beganAt <= $until) {
                return $reached + $bath->beganAt;
            }
        }

        return null;
    }
}
