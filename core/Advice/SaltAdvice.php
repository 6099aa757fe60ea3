<?php

declare(strict_types=1);

namespace Tempesal\Core\Advice;

use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Percent;
use Tempesal\Core\Method\SaltedContents;
use Tempesal\Core\Method\SaltFloor;
use Tempesal\Core\Method\SaltLine;
use Tempesal\Core\Salt\SaltBasis;

/**
 * What is said about the strength of a batch's salt, in the same words on the bench, beside a formula, on a batch's page and in
 * a computed document.
 */
final class SaltAdvice
{
    private const LOWER_LATER = 'To eat less sodium, rinse it, drain it, or take a smaller serving.';

    /**
     * @param  BatchState|null  $now  as the batch is at the moment; null: as it is after the ledger's last line
     * @return list<Advice>
     */
    public static function on(Ledger $ledger, Method $method, ?BatchState $now = null): array
    {
        $jar = SaltedContents::of($ledger, $method, $now);
        if ($jar === null) {
            return [];
        }
        $missed = SaltFloor::of($jar)->missed($jar);
        if ($missed !== null) {
            return [self::belowFloor($jar, $missed)];
        }
        $share = $jar->ferments ? ($jar->share(SaltBasis::OfEverything) ?? 0.0) * $jar->change : null;

        return array_values(array_filter([
            $share !== null && $share > SaltFloor::LARDER
                ? new Advice('larder_only', Severity::Careful, sprintf('%s of everything is salt. That is larder strength: it will hardly ferment.', Percent::of($share))) : null,
            $share !== null && $share > SaltFloor::SLOW && $share <= SaltFloor::LARDER
                ? new Advice('slow', Severity::Note, sprintf('%s of everything is salt. It will ferment slowly.', Percent::of($share))) : null,
            $share !== null && $share < SaltFloor::LOW && $jar->isWild && $jar->method->keepsPouredBrine() ? new Advice('low_salt',
                Severity::Note, sprintf(
                    'Only %s of everything is salt, which is low for a start without a starter. Keep it below 21 °C, add a spoon of live brine, and taste it or read its pH by day 5.',
                    Percent::of($share),
                )) : null,
        ]));
    }

    private static function belowFloor(SaltedContents $jar, SaltLine $line): Advice
    {
        $share = Percent::apart($line->shareOf($jar) ?? 0.0, $line->least);
        if (! $jar->method->isFerment()) {
            return new Advice('below_floor', Severity::Careful, sprintf(
                'The salt is %s %s. A quick pickle needs %s or more. Weaker than that, treat it as fresh food.', $share,
                $line->basis->label(), Percent::of($line->least),
            ));
        }

        return new Advice('below_floor', Severity::Careful, sprintf(
            'The salt is %s %s. %s needs at least %s: with less, spoilage bacteria can win. %s',
            $share, $line->basis->label(), $line->food === null ? 'This method' : ucfirst($line->food),
            Percent::of($line->least), self::LOWER_LATER,
        ));
    }
}
