<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Salt\SaltNotes;

/**
 * Something the cook should know before going on. It never stops anyone.
 */
final readonly class Advice
{
    /**
     * @param  string  $code  stable word for it, for example "below_floor"
     * @param  string  $text  what is the matter and what would help
     */
    public function __construct(public string $code, public Weight $weight, public string $text)
    {
    }

    public static function potassium(): self
    {
        return new self('potassium', Weight::Careful, SaltNotes::POTASSIUM);
    }

    public static function rawEgg(): self
    {
        return new self('raw_egg', Weight::Careful, 'Raw egg left at room temperature is against public food-safety advice: use pasteurised egg, and not for pregnant, very young, old or immune-compromised eaters.');
    }

    public static function garlicInOil(): self
    {
        return new self('garlic_in_oil', Weight::Careful, 'Garlic or herbs in oil can grow botulinum toxin without a sign: keep it cold, and use it within days.');
    }

    public static function notLive(): self
    {
        return new self('not_live', Weight::Note, 'It was heated and holds no living cultures.');
    }

    /** @return array{code: string, weight: string, text: string} */
    public function toArray(): array
    {
        return ['code' => $this->code, 'weight' => $this->weight->value, 'text' => $this->text];
    }
}
