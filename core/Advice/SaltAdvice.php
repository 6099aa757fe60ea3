<?php

declare(strict_types=1);

namespace Tempesal\Core\Advice;

use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Percent;
use Tempesal\Core\Method\SaltedContents;
use Tempesal\Core\Method\SaltFloor;
use Tempesal\Core\Method\SaltLine;
use Tempesal\Core\Salt\SaltBasis;

/**
 * What is said about the strength of a batch's salt, in the same words on the bench, beside a formula, on a batch's
 * page and in a computed document.
 */
final class SaltAdvice
{
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

        return array_values(
            array_filter([
                $share !== null && $share > SaltFloor::LARDER
                    ? new Advice(
                        'larder_only',
                        Severity::Careful,
                        Message::of('advice.larder_only', percent: Percent::of($share)),
                    )
                    : null,
                $share !== null && $share > SaltFloor::SLOW && $share <= SaltFloor::LARDER
                    ? new Advice('slow', Severity::Note, Message::of('advice.slow', percent: Percent::of($share)))
                    : null,
                $share !== null && $share < SaltFloor::LOW && $jar->isWild && $jar->method->keepsPouredBrine()
                    ? new Advice(
                        'low_salt',
                        Severity::Note,
                        Message::of(
                            'advice.low_salt',
                            percent: Percent::of($share),
                            warmth: Message::of('unit.temperature', celsius: 21.0),
                        ),
                    )
                    : null,
            ]),
        );
    }

    private static function belowFloor(SaltedContents $jar, SaltLine $line): Advice
    {
        $strength = $line->basis->strength(Percent::apart($line->shareOf($jar) ?? 0.0, $line->least));
        if (!$jar->method->isFerment()) {
            return new Advice(
                'below_floor',
                Severity::Careful,
                Message::of('advice.below_floor_quick', strength: $strength, least: Percent::of($line->least)),
            );
        }

        return new Advice(
            'below_floor',
            Severity::Careful,
            Message::of(
                'advice.below_floor',
                strength: $strength,
                least: Percent::of($line->least),
                food: $line->food ?? 'none',
            ),
        );
    }
}
