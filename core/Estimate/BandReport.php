<?php

declare(strict_types=1);

namespace Tempesal\Core\Estimate;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Message\Message;

/**
 * A band as it is written down: its ends, and what each uncertain input adds to it.
 */
final class BandReport
{
    /** @return array<string, mixed> */
    public static function of(Estimate $estimate): array
    {
        return [
            ...$estimate->band->toArray(),
            'contributions' => array_map(
                static fn(Contribution $contribution): array => [
                    'input' => $contribution->input->key,
                    'label' => $contribution->input->label(),
                    'share' => $contribution->share,
                    'remedy' => $contribution->input->howToNarrow(),
                    'without' => $estimate->without($contribution->input->key)->toArray(),
                ],
                $estimate->contributions,
            ),
        ];
    }

    /** What makes the band, and what would narrow it, in a sentence; null for an exact value. */
    public static function sentence(Estimate $estimate): ?Message
    {
        $widest = $estimate->contributions[0] ?? null;
        if ($widest === null || $estimate->band->typical <= 0.0) {
            return null;
        }
        $share = (int) round($widest->share * 100.0);
        $how = $widest->input->howToNarrow();

        return $how === null
            ? Message::of('band.widest', share: $share, what: $widest->input->label())
            : Message::of(
                'band.widest_narrow',
                share: $share,
                what: $widest->input->label(),
                how: $how,
                now: self::percent($estimate->band),
                then: self::percent($estimate->without($widest->input->key)),
            );
    }

    /** Half the band's width in percent of its typical value. */
    private static function percent(Band $band): int
    {
        return (int) round((($band->high - $band->low) / 2.0 / $band->typical) * 100.0);
    }
}
