<?php

declare(strict_types=1);

namespace Tempesal\Core\Process;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Entry\Draw;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Salt\SaltDose;

/**
 * Kraut style: salt worked into the cut vegetable, whose own juice becomes the brine.
 */
final readonly class DrySalting implements Process
{
    /**
     * @param  non-empty-list<IngredientAmount>  $vegetables
     * @param  Band  $draw  juice, as a share of the vegetable's weight
     */
    public function __construct(
        private array $vegetables,
        private SaltDose $salt,
        private Band $draw,
        private ?Starter $starter,
        private Soak $ferment,
    ) {}

    public static function read(Fields $fields): self
    {
        /** @var non-empty-list<IngredientAmount> $vegetables */
        $vegetables = IngredientAmount::readAll($fields, 'vegetables', true);

        return new self(
            $vegetables,
            ProcessFields::salt($fields, Method::DrySalting, $vegetables),
            $fields->band('draw', Method::DrySalting->profile()->preparation->draw(0.0), -0.3, 0.9),
            ProcessFields::starter($fields),
            ProcessFields::ferment($fields),
        );
    }

    public function entries(): array
    {
        return [
            new Salt($this->salt, Phase::Brine),
            ...$this->starter === null ? [] : [$this->starter->into(Phase::Brine)],
            ...IngredientAmount::allApart($this->vegetables),
            new Draw($this->draw),
            $this->ferment,
        ];
    }
}
