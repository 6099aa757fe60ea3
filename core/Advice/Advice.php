<?php

declare(strict_types=1);

namespace Tempesal\Core\Advice;

use Tempesal\Core\Message\Message;

/**
 * Something the cook should know before going on. It never stops anyone.
 */
final readonly class Advice
{
    /** The public line on raw egg, and who must not eat it (public food-safety advice; from memory). */
    public const RAW_EGG = 'advice.raw_egg';

    /**
     * @param  string  $code  stable word for it, for example "below_floor"
     * @param  Message  $text  what is the matter and what would help
     */
    public function __construct(public string $code, public Severity $severity, public Message $text) {}

    public static function potassium(): self
    {
        return new self('potassium', Severity::Careful, Message::of('salt_note.potassium'));
    }

    public static function rawEgg(): self
    {
        return new self('raw_egg', Severity::Careful, Message::of(self::RAW_EGG));
    }

    public static function plantsInOil(): self
    {
        return new self('plants_in_oil', Severity::Careful, Message::of('advice.plants_in_oil'));
    }

    public static function lowAcidPuree(): self
    {
        return new self('low_acid_puree', Severity::Careful, Message::of('advice.low_acid_puree'));
    }

    public static function notLive(): self
    {
        return new self('not_live', Severity::Note, Message::of('advice.not_live'));
    }

    /** @return array{code: string, weight: string, text: Message} */
    public function toArray(): array
    {
        return ['code' => $this->code, 'weight' => $this->severity->value, 'text' => $this->text];
    }
}
