<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use DomainException;
use Tempesal\Core\TempesalException;

/**
 * More was asked for than the jar holds.
 */
final class NotEnough extends DomainException implements TempesalException
{
    private function __construct(string $message, public readonly ?int $lineNumber = null)
    {
        parent::__construct($message);
    }

    public static function of(Phase $phase, float $wantedG, float $thereG): self
    {
        return new self(sprintf('Only %s g of %s are left, %s g were asked for.', self::show($thereG), $phase->value, self::show($wantedG)));
    }

    public static function nothingIn(Phase $phase): self
    {
        return new self(sprintf('There is no %s to do that with.', $phase->value));
    }

    /** What left the jar since then would no longer have been in it. */
    public static function afterTheFact(Phase $phase): self
    {
        return new self(sprintf('More %s has left the jar since than would have been there.', $phase->value));
    }

    /** @param  int  $line  place in the ledger, from 0 */
    public function onLine(int $line): self
    {
        return new self($this->getMessage(), $this->lineNumber ?? $line);
    }

    private static function show(float $grams): string
    {
        return number_format(max(0.0, $grams), $grams < 10 ? 1 : 0);
    }
}
