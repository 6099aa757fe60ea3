<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Freshen;
use Tempesal\Core\Ledger\Entry\Give;
use Tempesal\Core\Ledger\Entry\Measured;
use Tempesal\Core\Ledger\Entry\Overflow;
use Tempesal\Core\Ledger\Entry\ReSalt;
use Tempesal\Core\Ledger\Entry\Rinse;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Squeeze;
use Tempesal\Core\Ledger\Entry\Starter;

/**
 * Where the sodium of a batch came from and where it went, in mg: what came in equals what is there and what has left.
 */
final readonly class SaltFlow
{
    /** What is less than this is no stream one could see. */
    private const TRACE_MG = 0.5;

    /**
     * @param  array<string, float>  $from  salt, produce, dressing, starter, added, correction
     * @param  array<string, float>  $to  pieces, brine, sauce, eaten, given, poured_off, rinsed, squeezed, ran_over,
     *     not_used, correction
     */
    private function __construct(public array $from, public array $to) {}

    /** @throws NotEnough */
    public static function of(Ledger $ledger): self
    {
        $ledger = $ledger->whole();
        $point = Point::typical();
        $state = $ledger->beginning();
        $from = $to = [];
        $isDrained = false;
        foreach ($ledger->resolved() as $line) {
            $before = $line->at === null ? $state : TimeStep::until($state, $line->at, $point);
            $state = $line->entry->applyTo($before, $point);
            $isDrained = $isDrained || $line->entry instanceof Drain || $line->entry instanceof Rinse;
            foreach (Account::cases() as $account) {
                $moved = $state->account($account)->sodiumMg - $before->account($account)->sodiumMg;
                if ($account === Account::Correction && $moved < 0.0) {
                    $to['correction'] = ($to['correction'] ?? 0.0) - $moved;
                } elseif ($account->isSource()) {
                    $source = self::source($line->entry, $account, $isDrained);
                    $from[$source] = ($from[$source] ?? 0.0) + $moved;
                } else {
                    $sink = self::sink($line->entry, $account);
                    $to[$sink] = ($to[$sink] ?? 0.0) + $moved;
                }
            }
        }
        $now = $ledger->state();
        foreach (Phase::cases() as $phase) {
            $to[$phase->value] = $now->phase($phase)->sodiumMg;
        }
        $seen = static fn(float $milligrams): bool => $milligrams > self::TRACE_MG;

        return new self(array_filter($from, $seen), array_filter($to, $seen));
    }

    private static function source(Entry $entry, Account $account, bool $isDrained): string
    {
        return match (true) {
            $account === Account::Correction, $entry instanceof Measured => 'correction',
            $entry instanceof Salt, $entry instanceof ReSalt => 'salt',
            $entry instanceof Starter => 'starter',
            $entry instanceof Add => $isDrained ? 'dressing' : 'produce',
            default => 'added',
        };
    }

    private static function sink(Entry $entry, Account $account): string
    {
        return match (true) {
            $account === Account::GivenAway, $entry instanceof Give => 'given',
            $account === Account::Eaten => 'eaten',
            $entry instanceof Rinse, $entry instanceof Serve => 'rinsed',
            $entry instanceof Squeeze => 'squeezed',
            $entry instanceof Overflow => 'ran_over',
            $entry instanceof Drain, $entry instanceof Freshen => 'poured_off',
            default => 'not_used',
        };
    }
}
