<?php

declare(strict_types=1);

namespace Tempesal\Core\Process;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Draw;
use Tempesal\Core\Ledger\Entry\Freshen;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Salt\SaltDose;

/**
 * Hours in strong cooled brine, freshened with plain water when it tastes too salty. Not a ferment.
 */
final readonly class QuickSaltPickle implements Process
{
    /**
     * @param  non-empty-list<IngredientAmount>  $vegetables
     * @param  Band  $draw  juice, as a share of the vegetable's weight
     * @param  Soak|null  $freshSoak  in the fresh water
     */
    public function __construct(
        private array $vegetables,
        private Grams $water,
        private SaltDose $salt,
        private Band $draw,
        private Soak $soak,
        private ?Freshen $freshen,
        private ?Soak $freshSoak,
    ) {}

    public static function read(Fields $fields): self
    {
        /** @var non-empty-list<IngredientAmount> $vegetables */
        $vegetables = IngredientAmount::readAll($fields, 'vegetables', true);
        $water = $fields->grams('water');
        $freshen = $fields->has('freshen') ? $fields->child('freshen') : null;
        $salt = ProcessFields::salt($fields, Method::QuickSaltPickle, $vegetables, $water);

        return new self(
            $vegetables,
            $water,
            $salt,
            $fields->band(
                'draw',
                Method::QuickSaltPickle->profile()->preparation->draw(PouredBrine::strength($salt, $water)),
                -0.3,
                0.9,
            ),
            $fields->has('soak')
                ? ProcessFields::soak($fields->child('soak'), 'soak')
                : Soak::lasting(Method::QuickSaltPickle->profile()->preparation->salting()),
            $freshen === null ? null : Freshen::read($freshen),
            $freshen === null ? null : ProcessFields::soak($freshen, 'soak'),
        );
    }

    public function entries(): array
    {
        return [
            new Add(Ingredient::water(), Band::exact($this->water->value), Phase::Brine),
            new Salt($this->salt, Phase::Brine),
            ...IngredientAmount::allApart($this->vegetables),
            new Draw($this->draw),
            $this->soak,
            ...array_filter([$this->freshen, $this->freshSoak]),
        ];
    }
}
