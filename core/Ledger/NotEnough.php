<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use DomainException;
use Tempesal\Core\Message\Message;
use Tempesal\Core\TempesalException;

/**
 * More was asked for than the jar holds.
 */
final class NotEnough extends DomainException implements TempesalException
{
    private function __construct(private readonly Message $explanation, public readonly ?int $lineNumber = null)
    {
        parent::__construct($explanation->encode());
    }

    public function explanation(): Message
    {
        return $this->explanation;
    }

    public static function of(Phase $phase, float $wantedG, float $thereG): self
    {
        return new self(
            Message::of(
                'errors.not_enough',
                there: self::show($thereG),
                wanted: self::show($wantedG),
                phase: $phase->value,
            ),
        );
    }

    public static function nothingIn(Phase $phase): self
    {
        return new self(Message::of('errors.none_left', phase: $phase->value));
    }

    /** What left the jar since then would no longer have been in it. */
    public static function afterTheFact(Phase $phase): self
    {
        return new self(Message::of('errors.more_left_since', phase: $phase->value));
    }

    /** @param  int  $line  place in the ledger, from 0 */
    public function onLine(int $line): self
    {
        return new self($this->explanation, $this->lineNumber ?? $line);
    }

    private static function show(float $grams): float
    {
        return round(max(0.0, $grams), $grams < 10 ? 1 : 0);
    }
}
