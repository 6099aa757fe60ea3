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
 * A purée or emulsion with live brine, whey or vinegar stirred in, or milk or something sweet with its culture. What the
 * starter carries counts.
 */
final readonly class CulturedCondiment implements Process
{
    /** @param  non-empty-list<IngredientAmount>  $base */
    public function __construct(
        private array $base,
        private ?SaltDose $salt,
        private ?Starter $starter,
        private Soak $ferment,
    ) {}

    public static function read(Fields $fields): self
    {
        /** @var non-empty-list<IngredientAmount> $base */
        $base = IngredientAmount::readAll($fields, 'base', true);
        $starter = ProcessFields::starter($fields);

        return new self(
            $base,
            $fields->has('salt') ? ProcessFields::salt($fields, Method::read($fields), $base, starter: $starter) : null,
            $starter,
            ProcessFields::ferment($fields),
        );
    }

    public function entries(): array
    {
        return [
            ...IngredientAmount::allInto(Phase::Sauce, $this->base),
            ...$this->salt === null ? [] : [new Salt($this->salt, Phase::Sauce)],
            ...$this->starter === null ? [] : [$this->starter->into(Phase::Sauce)],
            $this->ferment,
        ];
    }
}
