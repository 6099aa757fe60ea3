<?php

declare(strict_types=1);

namespace Tempesal\Core\Advice;

use Tempesal\Core\Salt\SaltNotes;

/**
 * Something the cook should know before going on. It never stops anyone.
 */
final readonly class Advice
{
    /** The public line on raw egg, and who must not eat it (public food-safety advice; from memory). */
    public const RAW_EGG = 'Raw egg left at room temperature for more than 2 hours is against public food-safety advice. Use pasteurised egg. Not for anyone who is pregnant, very young, old or immune-compromised.';

    /**
     * @param  string  $code  stable word for it, for example "below_floor"
     * @param  string  $text  what is the matter and what would help
     */
    public function __construct(public string $code, public Severity $severity, public string $text)
    {
    }

    public static function potassium(): self
    {
        return new self('potassium', Severity::Careful, SaltNotes::POTASSIUM);
    }

    public static function rawEgg(): self
    {
        return new self('raw_egg', Severity::Careful, self::RAW_EGG);
    }

    public static function plantsInOil(): self
    {
        return new self('plants_in_oil', Severity::Careful,
            'Garlic, herbs or vegetables in oil can grow botulinum toxin, which you cannot see, smell or taste. Keep it in the fridge and use it within 4 days.');
    }

    public static function lowAcidPuree(): self
    {
        return new self('low_acid_puree', Severity::Careful,
            'This purée is low in acid and salt. Acidify it first and read pH 4.6 or lower, or keep it in the fridge.');
    }

    public static function notLive(): self
    {
        return new self('not_live', Severity::Note, 'It was heated and holds no living cultures.');
    }

    /** @return array{code: string, weight: string, text: string} */
    public function toArray(): array
    {
        return ['code' => $this->code, 'weight' => $this->severity->value, 'text' => $this->text];
    }
}
