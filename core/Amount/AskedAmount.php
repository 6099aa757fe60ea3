<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use RuntimeException;
use Tempesal\Core\Message\Explains;
use Tempesal\Core\Message\Message;
use Tempesal\Core\TempesalException;

/**
 * A phrase that can be read in several ways: the cook is asked.
 */
final class AskedAmount extends RuntimeException implements TempesalException
{
    use Explains;

    /**
     * @param  non-empty-array<string, AmountReading>  $offers  by what is to be written instead
     */
    public static function between(Message $question, array $offers): self
    {
        $asked = new self($question);
        $asked->offers = $offers;

        return $asked;
    }

    /** @var non-empty-array<string, AmountReading> */
    public array $offers;
}
