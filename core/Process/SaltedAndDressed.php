<?php

declare(strict_types=1);

namespace Tempesal\Core\Process;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\Entry\Add;
use Tempesal\Core\Ledger\Entry\Drain;
use Tempesal\Core\Ledger\Entry\Draw;
use Tempesal\Core\Ledger\Entry\Rinse;
use Tempesal\Core\Ledger\Entry\Salt;
use Tempesal\Core\Ledger\Entry\Soak;
use Tempesal\Core\Ledger\Entry\Squeeze;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\Rinsing;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Salt\SaltDose;

/**
 * Salted first, dressed afterwards: kimchi style, salted dry or soaked, rinsed and squeezed; and salt and drain, where
 * nothing is rinsed. Most of the first salt is thrown away; the paste's stays.
 */
final readonly class SaltedAndDressed implements Process
{
    /**
     * @param  non-empty-list<IngredientAmount>  $vegetables
     * @param  Grams|null  $water  of a soak; null: salted dry
     * @param  list<IngredientAmount>  $alongside  what is salted together with them, sugar for one
     * @param  Band  $draw  juice, as a share of the vegetable's weight
     * @param  Soak  $salting  the rest or soak
     * @param  list<IngredientAmount>  $paste
     */
    public function __construct(
        private array $vegetables,
        private ?Grams $water,
        private SaltDose $salt,
        private array $alongside,
        private Band $draw,
        private Soak $salting,
        private ?Rinsing $rinse,
        private ?Squeeze $squeeze,
        private array $paste,
        private Soak $ferment,
    ) {}

    public static function read(Fields $fields): self
    {
        $method = $fields->choice('method', Method::class);
        $isKimchi = $method !== Method::SaltAndDrain;
        /** @var non-empty-list<IngredientAmount> $vegetables */
        $vegetables = IngredientAmount::readAll($fields, 'vegetables', true);
        $water = $method === Method::KimchiSoaked ? $fields->grams('water') : null;
        $rinse = $fields->has('rinse') ? Rinsing::read($fields->child('rinse')) : null;
        if (!$isKimchi && $rinse !== null) {
            throw $fields->invalid(
                'rinse',
                Message::of('errors.not_rinsed', method: $method->label(), other: Method::KimchiDrySalted->label()),
            );
        }

        return new self(
            $vegetables,
            $water,
            ProcessFields::salt($fields, $method, $vegetables, $water),
            IngredientAmount::readAll($fields, 'alongside'),
            $fields->band('draw', $method->profile()->preparation->draw(0.0), -0.3, 0.9),
            $fields->has('salting')
                ? ProcessFields::soak($fields->child('salting'), $water === null ? 'rest' : 'soak')
                : self::usualSalting($method),
            $rinse ?? ($isKimchi ? Rinsing::underTheTap($method->profile()->preparation->rinse()) : null),
            $fields->has('squeeze') ? Squeeze::read($fields->child('squeeze')) : ($isKimchi ? Squeeze::firm() : null),
            IngredientAmount::readAll($fields, 'paste'),
            ProcessFields::ferment($fields),
        );
    }

    public function entries(): array
    {
        return [
            ...$this->water === null
                ? []
                : [new Add(Ingredient::water(), Band::exact($this->water->value), Phase::Brine)],
            new Salt($this->salt, Phase::Brine),
            ...IngredientAmount::allApart($this->alongside),
            ...IngredientAmount::allApart($this->vegetables),
            new Draw($this->draw),
            $this->salting,
            new Drain(ClingingBrine::drained()),
            ...$this->rinse === null ? [] : [new Rinse($this->rinse, ClingingBrine::drained())],
            ...$this->squeeze === null ? [] : [$this->squeeze],
            ...IngredientAmount::allApart($this->paste),
            $this->ferment,
        ];
    }

    private static function usualSalting(Method $method): Soak
    {
        $salting = Soak::lasting($method->profile()->preparation->salting());

        return $method === Method::KimchiSoaked ? $salting : $salting->called('rest');
    }
}
