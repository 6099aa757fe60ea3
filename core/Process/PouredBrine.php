<?php

declare(strict_types=1);

namespace Tempesal\Core\Process;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Discard;
use Tempesal\Core\Ledger\Entry\Draw;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Salt\SaltDose;

/**
 * Brine poured over packed pieces, whether its strength was said of the water or of everything.
 */
final readonly class PouredBrine implements Process
{
    /**
     * @param  non-empty-list<IngredientAmount>  $vegetables
     * @param  Grams  $water  measured out, spare brine included
     * @param  float  $spare  brine mixed beyond what the jar takes, as a share of that
     * @param  Band  $draw  juice, as a share of the vegetable's weight
     */
    public function __construct(
        private array $vegetables,
        private Grams $water,
        private SaltDose $salt,
        private float $spare,
        private Band $draw,
        private ?Starter $starter,
        private Soak $ferment,
    ) {}

    public static function read(Fields $fields): self
    {
        $method = $fields->choice('method', Method::class);
        /** @var non-empty-list<IngredientAmount> $vegetables */
        $vegetables = IngredientAmount::readAll($fields, 'vegetables', true);
        $water = $fields->grams('water');
        $salt = ProcessFields::salt($fields, $method, $vegetables, $water);

        return new self(
            $vegetables,
            $water,
            $salt,
            $fields->share('spare', 0.0),
            $fields->band('draw', $method->profile()->preparation->draw(self::strength($salt, $water)), -0.3, 0.9),
            ProcessFields::starter($fields),
            ProcessFields::ferment($fields),
        );
    }

    /** Salt / (salt + water) of the brine as it is mixed. */
    public static function strength(SaltDose $salt, Grams $water): float
    {
        $brine = $salt->grams()->plus($water);

        return $brine->isZero() ? 0.0 : $salt->grams()->value / $brine->value;
    }

    public function entries(): array
    {
        $brine = $this->salt->grams()->plus($this->water);

        return [
            ...$this->water->isZero()
                ? []
                : [new Add(Ingredient::water(), Band::exact($this->water->value), Phase::Brine)],
            new Salt($this->salt, Phase::Brine),
            ...$this->spare > 0.0
                ? [new Discard(Phase::Brine, $brine->times($this->spare / (1.0 + $this->spare)))]
                : [],
            ...$this->starter === null ? [] : [$this->starter->into(Phase::Brine)],
            ...IngredientAmount::allApart($this->vegetables),
            new Draw($this->draw),
            $this->ferment,
        ];
    }
}
