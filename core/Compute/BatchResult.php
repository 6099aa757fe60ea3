<?php

declare(strict_types=1);

namespace Tempesal\Core\Compute;

use Tempesal\Core\Advice\Advice;
use Tempesal\Core\Advice\BatchAdvice;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\BandReport;
use Tempesal\Core\Intake\LabelRounding;
use Tempesal\Core\Inverse\InverseQuestion;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Strength;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Salt\SaltBasis;

/**
 * What follows from one batch of a document.
 */
final class BatchResult
{
    /**
     * @return array<string, mixed>
     *
     * @throws InvalidField
     */
    public static function of(string $id, BatchSteps $steps, Ledger $ledger): array
    {
        $state = $ledger->state();
        $bands = $ledger->estimates();
        $phases = array_values(
            array_filter(Phase::cases(), static fn(Phase $phase): bool => $state->phase($phase)->weightG() > 1e-9),
        );

        return [
            'id' => $id,
            'name' => $steps->name,
            'states' => self::states($steps, $ledger),
            'phases' => array_map(
                static fn(Phase $phase): array => [
                    'phase' => $phase->value,
                    ...$state->phase($phase)->toArray(),
                    'sodiumPer100g' => BandReport::of($bands["{$phase->value}Per100g"]),
                ],
                $phases,
            ),
            'strength' => [
                'brineStrength' => Strength::of($state)->share(SaltBasis::BrineStrength),
                'ofWater' => Strength::of($state)->share(SaltBasis::OfWater),
                'ofEverything' => Strength::of($state)->share(SaltBasis::OfEverything),
            ],
            'serving' => self::serving($steps, $ledger),
            'whereaboutsMg' => $state->whereabouts(),
            'cameInMg' => [
                'outside' => $state->account(Account::Outside)->sodiumMg,
                'received' => $state->account(Account::Received)->sodiumMg,
                'correction' => $state->account(Account::Correction)->sodiumMg,
            ],
            'astrayMg' => $state->sodiumAstray(),
            'isLive' => $state->live,
            'allergens' => array_map(static fn(Allergen $allergen): string => $allergen->value, $state->allergens()),
            'starters' => self::starters($ledger),
            'advice' => array_map(
                static fn(Advice $advice): array => $advice->toArray(),
                BatchAdvice::on($ledger, $steps->method),
            ),
            'answers' => array_map(
                static fn(InverseQuestion $question): array => $question->answer($ledger)->toArray(),
                $steps->questions,
            ),
        ];
    }

    /** @return list<array<string, mixed>> the batch after each entry */
    private static function states(BatchSteps $steps, Ledger $ledger): array
    {
        $numbers = $steps->stepNumbers();
        $entries = $ledger->resolved();
        $states = [];
        foreach ($ledger->trail() as $i => $state) {
            $states[] = [
                'step' => $numbers[$i],
                'kind' => $entries[$i]->entry->toArray()['kind'],
                'seconds' => $state->clock,
                'phases' => self::phases($state),
                'whereaboutsMg' => $state->whereabouts(),
            ];
        }

        return $states;
    }

    /** @return array<string, array<string, float>> */
    private static function phases(BatchState $state): array
    {
        $phases = [];
        foreach (Phase::cases() as $phase) {
            $phases[$phase->value] = $state->phase($phase)->toArray();
        }

        return $phases;
    }

    /**
     * @return array<string, mixed>|null
     *
     * @throws InvalidField
     */
    private static function serving(BatchSteps $steps, Ledger $ledger): ?array
    {
        if ($steps->serving === null) {
            return null;
        }
        try {
            $estimate = $ledger->serving($steps->serving);
        } catch (NotEnough $refusal) {
            throw new InvalidField('serving.grams', $refusal->explanation());
        }

        return [
            'grams' => $steps->serving->grams->value,
            'sodiumMg' => BandReport::of($estimate),
            'labelMg' => LabelRounding::milligrams($estimate->band->typical),
            'band' => BandReport::sentence($estimate),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function starters(Ledger $ledger): array
    {
        $starters = [];
        foreach ($ledger->resolved() as $line) {
            if ($line->entry instanceof Starter) {
                $starters[] = [
                    'fromBatch' => $line->entry->fromBatch,
                    'name' => $line->entry->liquid->name,
                    'grams' => $line->entry->grams->value,
                    'sodiumMg' => ($line->entry->grams->value * $line->entry->liquid->sodiumPer100g->typical) / 100.0,
                    'isLive' => $line->entry->liquid->live,
                    'ph' => $line->entry->liquid->ph,
                ];
            }
        }

        return $starters;
    }
}
