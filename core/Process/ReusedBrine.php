<?php

declare(strict_types=1);

namespace Tempesal\Core\Process;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Entry\Draw;
use Tempesal\Core\Ledger\Entry\ReSalt;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Method\Method;

/**
 * A finished jar's brine poured over a fresh batch. The first batch took half of its salt, so it is salted up again.
 */
final readonly class ReusedBrine implements Process
{
    /**
     * @param  Starter  $brine  of the finished jar
     * @param  non-empty-list<IngredientAmount>  $vegetables
     * @param  ReSalt|Salt|null  $salt  up to a strength, or so much of it
     * @param  Band  $draw  juice, as a share of the vegetable's weight
     */
    public function __construct(
        private Starter $brine,
        private array $vegetables,
        private ReSalt|Salt|null $salt,
        private Band $draw,
        private Soak $ferment,
    ) {}

    public static function read(Fields $fields): self
    {
        /** @var non-empty-list<IngredientAmount> $vegetables */
        $vegetables = IngredientAmount::readAll($fields, 'vegetables', true);

        return new self(
            Starter::read($fields->child('brine')),
            $vegetables,
            $fields->has('reSalt') ? ReSalt::read($fields->child('reSalt')) : null,
            $fields->band('draw', Method::ReusedBrine->profile()->preparation->draw(0.0), -0.3, 0.9),
            ProcessFields::ferment($fields),
        );
    }

    public function entries(): array
    {
        return [
            $this->brine->into(Phase::Brine),
            ...IngredientAmount::allApart($this->vegetables),
            ...$this->salt === null ? [] : [$this->salt],
            new Draw($this->draw),
            $this->ferment,
        ];
    }
}
