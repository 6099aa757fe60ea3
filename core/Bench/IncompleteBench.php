<?php

declare(strict_types=1);

namespace Tempesal\Core\Bench;

use DomainException;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;
use Tempesal\Core\TempesalException;

/**
 * The bench was asked before enough was said. Names the field that would help.
 */
final class IncompleteBench extends DomainException implements TempesalException
{
    private function __construct(public readonly string $field, private readonly Message $explanation)
    {
        parent::__construct($explanation->encode());
    }

    public function explanation(): Message
    {
        return $this->explanation;
    }

    public static function noVegetable(): self
    {
        return new self('vegetableAmount', Message::of('errors.bench_no_vegetable'));
    }

    public static function noWater(): self
    {
        return new self('waterAmount', Message::of('errors.bench_no_water'));
    }

    public static function noBrine(): self
    {
        return new self('starterBatchId', Message::of('errors.bench_no_brine'));
    }

    public static function wrongBasis(Method $method): self
    {
        return new self('strengthBasis', Message::of('errors.bench_wrong_basis', method: $method->label()));
    }

    public static function impossibleStrength(Message $why): self
    {
        return new self('strengthPercent', $why);
    }

    public static function nothingFollows(string $field): self
    {
        return new self($field, Message::of('errors.bench_follows'));
    }

    public static function cannotFollow(Method $method): self
    {
        return new self('fixed', Message::of('errors.bench_cannot_follow', method: $method->label()));
    }

    public static function saltTooLittle(): self
    {
        return new self('saltAmount', Message::of('errors.bench_salt_too_little'));
    }

    /** @param  float  $most  mg in a serving at the most salt that dissolves */
    public static function tooMuchSodium(float $most): self
    {
        return new self('sodiumWanted', Message::of('errors.bench_too_much_sodium', mg: round($most)));
    }

    public static function notEnough(Message $why): self
    {
        return new self('keptBrine', $why);
    }
}
