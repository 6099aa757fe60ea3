<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Measure\InvalidQuantity;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;

/**
 * A phrase that can be read in several ways: the cook is asked. Where nobody can be asked it says what to write.
 */
final class AskedAmount extends InvalidQuantity
{
    /** @param  non-empty-array<string, AmountReading>  $offers  by what is to be written instead */
    private function __construct(public readonly Message $question, public readonly array $offers)
    {
        parent::__construct(
            Message::of(
                'errors.amount_asked',
                question: $question,
                phrases: Listed::any(array_map(strval(...), array_keys($offers))),
            ),
        );
    }

    /** @param  non-empty-array<string, AmountReading>  $offers */
    public static function between(Message $question, array $offers): self
    {
        return new self($question, $offers);
    }
}
