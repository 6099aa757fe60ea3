<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Process\IngredientAmount;
use Tempesal\Core\Process\ProcessFields;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Salt\SaltDose;

/**
 * Something that goes in, for a list that people read.
 */
final readonly class FormulaLine
{
    /** The parts of a process in which foods are listed. */
    private const LISTS = ['vegetables', 'base', 'alongside', 'paste', 'additions'];

    /**
     * @param  string  $part  where it belongs: one of LISTS, water, fresh water, salt, starter, brine, or the step's
     *     kind
     * @param  Ingredient|null  $food  null for salt
     */
    private function __construct(
        public string $part,
        public string $name,
        public float $grams,
        public ?Ingredient $food = null,
        public ?SaltDose $salt = null,
    ) {}

    /**
     * @return list<self>
     *
     * @throws InvalidField
     */
    public static function ofStep(Fields $step): array
    {
        $kind = $step->text('kind');
        if ($kind === FormulaStep::PROCESS) {
            return self::ofProcess($step);
        }

        return match ($kind) {
            'add' => [self::food($kind, Ingredient::read($step->child('ingredient')), $step->band('grams')->typical)],
            'salt' => [self::salted(SaltDose::read($step))],
            'starter' => [self::food($kind, Ingredient::read($step->child('liquid')), $step->grams()->value)],
            'freshen' => [self::food('fresh water', Ingredient::water(), $step->grams('water')->value)],
            'top_up' => [self::food($kind, Ingredient::water(), $step->grams()->value)],
            default => [],
        };
    }

    /**
     * @return list<self>
     *
     * @throws InvalidField
     */
    private static function ofProcess(Fields $step): array
    {
        $method = Method::read($step);
        $lines = $lists = [];
        foreach (self::LISTS as $part) {
            $lists[$part] = IngredientAmount::readAll($step, $part);
            foreach ($lists[$part] as $amount) {
                $lines[$part][] = self::food($part, $amount->ingredient, $amount->grams->typical);
            }
        }
        $water = $step->has('water') ? $step->grams('water') : null;
        $salted =
            $lists['vegetables'] === []
                ? ($lists['base'] === []
                    ? $lists['additions']
                    : $lists['base'])
                : $lists['vegetables'];
        $starters = [];
        foreach (['starter', 'brine'] as $part) {
            if ($step->has($part)) {
                $starters[] = self::food(
                    $part,
                    Ingredient::read($step->child($part)->child('liquid')),
                    $step->child($part)->grams()->value,
                );
            }
        }

        return [
            ...$lines['vegetables'] ?? [],
            ...$lines['base'] ?? [],
            ...$water === null || $water->isZero() ? [] : [self::food('water', Ingredient::water(), $water->value)],
            ...$step->has('salt') ? [self::salted(ProcessFields::salt($step, $method, $salted, $water))] : [],
            ...$lines['alongside'] ?? [],
            ...$starters,
            ...$lines['paste'] ?? [],
            ...$lines['additions'] ?? [],
            ...$step->has('freshen')
                ? [self::food('fresh water', Ingredient::water(), $step->child('freshen')->grams('water')->value)]
                : [],
        ];
    }

    /** Its name for the reader. */
    public function label(): Message
    {
        return $this->salt === null
            ? $this->food?->label() ?? Message::of('text.quoted', text: $this->name)
            : $this->salt->product->label();
    }

    private static function food(string $part, Ingredient $food, float $grams): self
    {
        return new self($part, $food->name, $grams, $food);
    }

    private static function salted(SaltDose $dose): self
    {
        return new self('salt', $dose->product->name, $dose->grams()->value, null, $dose);
    }
}
