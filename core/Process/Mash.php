<?php

declare(strict_types=1);

namespace Tempesal\Core\Process;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Salt\SaltDose;

/**
 * Chopped or blended pulp with salt on its weight: one phase from the start.
 */
final readonly class Mash implements Process
{
    /** @param  non-empty-list<IngredientAmount>  $vegetables */
    public function __construct(
        private array $vegetables,
        private SaltDose $salt,
        private ?Starter $starter,
        private Soak $ferment,
    ) {}

    public static function read(Fields $fields): self
    {
        /** @var non-empty-list<IngredientAmount> $vegetables */
        $vegetables = IngredientAmount::readAll($fields, 'vegetables', true);

        return new self(
            $vegetables,
            ProcessFields::salt($fields, Method::Mash, $vegetables),
            ProcessFields::starter($fields),
            ProcessFields::ferment($fields),
        );
    }

    public function entries(): array
    {
        return [
            new Salt($this->salt, Phase::Sauce),
            ...$this->starter === null ? [] : [$this->starter->into(Phase::Sauce)],
            ...IngredientAmount::allInto(Phase::Sauce, $this->vegetables),
            $this->ferment,
        ];
    }
}
