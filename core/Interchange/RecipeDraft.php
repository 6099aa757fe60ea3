<?php

declare(strict_types=1);

namespace Tempesal\Core\Interchange;

use Tempesal\Core\Formula\Formula;
use Tempesal\Core\Formula\FormulaDefaults;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Process\ProcessFields;

/**
 * A formula begun from the lines of a recipe. What is not settled yet stays with it as a note, word for word.
 */
final class RecipeDraft
{
    /**
     * @param  list<RecipeLine>  $lines
     * @param  list<string>  $work  what to do, beyond the lines that say so
     * @return array<string, mixed> the documented form of a formula; without steps when nothing was understood
     */
    public static function of(string $name, array $lines, ?Method $method = null, array $work = []): array
    {
        $foods = $starters = [];
        $water = $salt = 0.0;
        $saltId = null;
        $notes = [];
        foreach ($lines as $line) {
            if ($line->kind === 'work') {
                $work[] = $line->text;
            } elseif (!$line->isSettled()) {
                $notes[] = $line->text;
            } elseif ($line->grams !== null && $line->id !== null) {
                match (true) {
                    $line->kind === 'water' => ($water += $line->grams),
                    $line->kind === 'salt' => ([$salt, $saltId] = [$salt + $line->grams, $saltId ?? $line->id]),
                    $line->isStarter => ($starters[] = ['liquid' => $line->id, 'grams' => round($line->grams, 2)]),
                    default => ($foods[] = ['ingredient' => $line->id, 'grams' => round($line->grams, 2)]),
                };
            }
        }
        $method ??= self::guess($water, $salt, $starters !== []);

        return [
            'tempesal' => Formula::FORMAT,
            'version' => Formula::VERSION,
            'name' => trim($name) === '' ? 'A pasted recipe' : trim($name),
            'method' => $method->value,
            'group' => 'pasted',
            ...FormulaDefaults::of($method),
            'steps' => $foods === [] ? [] : self::steps($method, $foods, $water, $salt, $saltId, $starters),
            'work' => $work,
            'signs' => [],
            'why' => [],
            'schools' => [],
            'cautions' => [],
            'notes' => $notes,
        ];
    }

    private static function guess(float $water, float $salt, bool $hasStarter): Method
    {
        return match (true) {
            $water > 0.0 && $salt / $water > 0.1 => Method::QuickSaltPickle,
            $water > 0.0 => Method::PouredBrine,
            $hasStarter => Method::CulturedCondiment,
            default => Method::DrySalting,
        };
    }

    /**
     * @param  non-empty-list<array{ingredient: string, grams: float}>  $foods
     * @param  list<array{liquid: string, grams: float}>  $starters
     * @return list<array<string, mixed>>
     */
    private static function steps(
        Method $method,
        array $foods,
        float $water,
        float $salt,
        ?string $saltId,
        array $starters,
    ): array {
        $dose = ['product' => $saltId ?? 'fine-sea', 'grams' => round($salt, 2)];
        $starter = array_shift($starters);
        $step = [
            'kind' => 'process',
            'method' => $method->value,
            ProcessFields::lists($method)[0] => $foods,
            ...$method->hasPouredBrine() ? ['water' => round($water, 2)] : [],
            ...$salt > 0.0 || $method->profile()->salting->mindsFoods ? ['salt' => $dose] : [],
        ];
        $takesStarter = $method->profile()->preparation->takesStarter;
        if ($starter !== null && $takesStarter) {
            $step['starter'] = $starter;
            $starter = null;
        }
        $more = array_map(
            static fn(array $one): array => ['kind' => 'starter', ...$one],
            array_values(array_filter([$starter, ...$starters])),
        );

        return [$step, ...$more];
    }
}
