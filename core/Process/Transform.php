<?php

declare(strict_types=1);

namespace Tempesal\Core\Process;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Entry\Blend;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Evaporate;
use Tempesal\Core\Ledger\Entry\Heat;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Salt\SaltDose;

/**
 * A batch becomes a sauce: strained, some brine kept, blended, thinned with vinegar, oil, honey or water, and heated
 * when it is to stay as it is.
 */
final readonly class Transform implements Process
{
    /**
     * @param  Drain|null  $strain  null: all of the brine is blended in
     * @param  list<IngredientAmount>  $additions
     */
    public function __construct(
        private ?Drain $strain,
        private array $additions,
        private ?SaltDose $salt,
        private bool $heat,
        private ?Evaporate $simmeredAway,
    ) {}

    public static function read(Fields $fields): self
    {
        $additions = IngredientAmount::readAll($fields, 'additions');
        $heat = $fields->flag('heat');
        if ($fields->has('simmeredAway') && !$heat) {
            throw $fields->invalid('simmeredAway', Message::of('errors.simmer_heated'));
        }

        return new self(
            $fields->has('strain') ? Drain::read($fields->child('strain')) : null,
            $additions,
            $fields->has('salt') ? ProcessFields::salt($fields, Method::Transform, $additions) : null,
            $heat,
            $fields->has('simmeredAway') ? new Evaporate($fields->band('simmeredAway')) : null,
        );
    }

    public function entries(): array
    {
        return [
            ...$this->strain === null ? [] : [$this->strain],
            new Blend(),
            ...IngredientAmount::allInto(Phase::Sauce, $this->additions),
            ...$this->salt === null ? [] : [new Salt($this->salt, Phase::Sauce)],
            ...$this->heat ? [new Heat()] : [],
            ...$this->simmeredAway === null ? [] : [$this->simmeredAway],
        ];
    }
}
