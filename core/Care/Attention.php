<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

/**
 * What a jar asks of a cook who stands before the shelf. The lower the rank, the sooner.
 */
final readonly class Attention
{
    /** Food less than this above its brine still lies wet. */
    private const STICKS_OUT_MM = 4.0;

    /** What is left is nearly nothing. */
    private const FEW_SERVINGS = 2;

    private function __construct(public int $rank, public string $code, public string $text)
    {
    }

    /**
     * @param  Glance  $jar  as it stands there
     * @param  list<Chore>  $rhythm
     */
    public static function of(Glance $jar, array $rhythm): ?self
    {
        $today = array_values(array_filter($rhythm, static fn (Chore $chore): bool => $jar->isWarm && $chore->isDueOn($jar->day)));

        return match (true) {
            $jar->isNothing => new self(50, 'empty', 'Nothing is left; wash it and take it off the shelf'),
            $jar->aboveBrineMm > self::STICKS_OUT_MM => new self(10, 'sticks_out', 'Food stands above the brine; press it down'),
            $jar->longSince !== null && $jar->longSince >= 0 => new self(20, 'long', 'Past its window; smell and taste before serving'),
            $today !== [] => new self(30, $today[0]->code, $today[0]->text),
            $jar->readySince !== null && $jar->readySince >= 0 && $jar->isWarm => new self(40, 'ready', match ($jar->readySince) {
                0 => 'Ready from today; taste it',
                1 => 'Ready since yesterday; taste it',
                default => "Ready for {$jar->readySince} days; taste it and move it to the cold",
            }),
            $jar->youngSince !== null && $jar->youngSince === 0 => new self(45, 'look', 'Taste it for the first time'),
            $jar->servings <= self::FEW_SERVINGS => new self(48, 'low', $jar->servings === 1 ? 'One serving is left' : ($jar->servings === 0 ? 'Less than a serving is left' : "{$jar->servings} servings are left")),
            default => null,
        };
    }
}
