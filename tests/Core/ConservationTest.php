<?php

declare(strict_types=1);

use Eris\Generators;
use Tempesal\Core\Estimate\Contribution;
use Tempesal\Core\Estimate\Estimate;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Estimate\Propagation;
use Tempesal\Core\Estimate\Uncertain;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\Checkpoint;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\StarterTransfer;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tests\Support\Kitchen;
use Tests\Support\Property;
use Tests\Support\RandomHistory;

/** A microgram, in mg. */
const MICROGRAM = 1e-3;

function kinds(Ledger $ledger): string
{
    return implode(' ', array_map(fn($entry) => $entry->toArray()['kind'], $ledger->entries()));
}

it('loses no sodium, no water and no weight, whatever is done to a jar', function (): void {
    Property::holds(20261125, 400, Property::moves())->then(function (array $moves): void {
        $ledger = RandomHistory::of($moves);
        $state = $ledger->state();
        expect(abs($state->sodiumAstray()))->toBeLessThan(MICROGRAM, kinds($ledger));
        foreach (['waterG', 'otherG'] as $what) {
            $astray = -$state->present()->{$what};
            foreach (Account::cases() as $account) {
                $astray += ($account->isSource() ? 1 : -1) * $state->account($account)->{$what};
            }
            expect(abs($astray))->toBeLessThan(1e-6, "{$what}: " . kinds($ledger));
        }
    });
});

it('never holds less than nothing', function (): void {
    Property::holds(7, 400, Property::moves())->then(function (array $moves): void {
        $ledger = RandomHistory::of($moves);
        foreach ($ledger->trail() as $state) {
            foreach (Phase::cases() as $phase) {
                $masses = $state->phase($phase);
                expect(min($masses->waterG, $masses->otherG, $masses->sodiumMg))->toBeGreaterThan(
                    -1e-6,
                    kinds($ledger),
                );
            }
        }
    });
});

it('keeps every band around its typical value', function (): void {
    Property::holds(31, 60, Property::moves())->then(function (array $moves): void {
        $ledger = RandomHistory::of(array_slice($moves, 0, 12));
        foreach (array_diff_key($ledger->estimates(), ['servings' => []]) as $estimate) {
            expect($estimate->band->low)
                ->toBeLessThanOrEqual($estimate->band->typical)
                ->and($estimate->band->high)
                ->toBeGreaterThanOrEqual($estimate->band->typical)
                ->and(is_finite($estimate->band->high))
                ->toBeTrue();
        }
    });
});

it('loses nothing between two jars that lend to each other', function (): void {
    Property::holds(4, 150, Property::moves(), Property::moves(), Generators::choose(1, 90))->then(function (
        array $one,
        array $two,
        int $share,
    ): void {
        [$one, $two] = [array_slice($one, 0, 8), array_slice($two, 0, 8)];
        $kraut = RandomHistory::of($one);
        $beets = RandomHistory::of($two);
        for ($round = 0; $round < 2; $round++) {
            [$lender, $borrower] = $round === 0 ? [$kraut, $beets] : [$beets, $kraut];
            $there = $lender
                ->state()
                ->phase($lender->state()->liquid())
                ->weightG();
            if ($there < 1.0) {
                continue;
            }
            [$starter, $give] = StarterTransfer::from('lender', 'lender', $lender)->lend(
                Grams::of(($there * $share) / 100.0),
                null,
                'borrower',
            );
            [$kraut, $beets] =
                $round === 0
                    ? [$lender->with($give), $borrower->with($starter)]
                    : [$borrower->with($starter), $lender->with($give)];
        }
        $states = [$kraut->state(), $beets->state()];
        $between = array_sum(array_map(fn($state) => $state->account(Account::Received)->sodiumMg, $states));
        $lent = array_sum(array_map(fn($state) => $state->account(Account::GivenAway)->sodiumMg, $states));
        $before = array_sum(
            array_map(fn($moves) => RandomHistory::of($moves)->state()->account(Account::GivenAway)->sodiumMg, [
                $one,
                $two,
            ]),
        );
        expect($lent - $before - $between)->toEqualWithDelta(0.0, MICROGRAM);
    });
});

it('goes on from what was kept of a jar as if nothing had been kept', function (): void {
    $dropped = 0;
    Property::holds(20261201, 120, Property::moves())->then(function (array $moves) use (&$dropped): void {
        $ledger = RandomHistory::of(array_slice($moves, 0, 14));
        $lines = $ledger->resolved();
        $half = intdiv(count($lines), 2);
        $checkpoint = Checkpoint::beginning(true)->after(array_slice($lines, 0, $half), null)->toKeep();
        $kept = unserialize(serialize($checkpoint));
        // In two steps, with what was kept in between: what makes no difference by then is asked for no more.
        $kept = unserialize(serialize($kept->after(array_slice($lines, $half), null)->toKeep()));
        $asked = Point::typical();
        $kept->at($asked, null);
        $all = Point::typical();
        Checkpoint::carriedOut($lines, $ledger->beginning(), $all);
        $dropped += count($all->asked()) - count($asked->asked());
        foreach (Phase::cases() as $phase) {
            $of = static fn(callable $at): Estimate => Propagation::estimate(
                static fn(Point $point): array => [$at($point)->phase($phase)->sodiumPer100g()],
            )[0];
            $one = $of(static fn(Point $point) => $kept->at($point, null));
            $other = $of(static fn(Point $point) => Checkpoint::carriedOut($lines, $ledger->beginning(), $point));
            expect($one->isSameAs($other))->toBeTrue("{$phase->value}: " . kinds($ledger));
        }
    });
    expect($dropped)->toBeGreaterThan(50);
});

it('tells two estimates apart by their bands and by what makes them', function (): void {
    $of = static fn(float $low, float $high, float $above): Estimate => new Estimate(Band::of($low, 100.0, $high), [
        new Contribution(new Uncertain('salt', 'salt', Band::of(1.0, 2.0, 3.0)), 1.0, $above, 1.0),
    ]);
    $one = $of(90.0, 110.0, 10.0);
    expect($one->isSameAs($of(90.0 + 1e-8, 110.0, 10.0)))
        ->toBeTrue()
        ->and($one->isSameAs($of(90.0 + 1e-6, 110.0, 10.0)))
        ->toBeFalse()
        ->and($one->isSameAs($of(90.0, 110.0, 10.1)))
        ->toBeFalse()
        ->and($one->isSameAs(new Estimate($one->band, [])))
        ->toBeFalse();
});

it('does not care in which order things go in', function (): void {
    Property::holds(11, 60, Generators::choose(0, 1_000_000))->then(function (int $seed): void {
        $entries = Kitchen::jarOfCarrots()->with(...Kitchen::kraut()->entries())->entries();
        $goingIn = array_values(
            array_filter($entries, fn($entry) => in_array($entry->toArray()['kind'], ['add', 'salt'], true)),
        );
        $shuffled = (new Random\Randomizer(new Random\Engine\Mt19937($seed)))->shuffleArray($goingIn);
        $one = (new Ledger($goingIn))->settled()->state();
        $two = (new Ledger($shuffled))->settled()->state();
        expect($two->phase(Phase::Pieces)->sodiumMg)
            ->toEqualWithDelta($one->phase(Phase::Pieces)->sodiumMg, 1e-6)
            ->and($two->present()->weightG())
            ->toEqualWithDelta($one->present()->weightG(), 1e-9);
    });
});
