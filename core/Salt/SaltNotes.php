<?php

declare(strict_types=1);

namespace Tempesal\Core\Salt;

/**
 * What a cook should know of a salt before it goes into a jar.
 */
final class SaltNotes
{
    public const POTASSIUM = 'This blend carries potassium. With kidney disease, diuretics or blood-pressure medicines ask your clinician before eating it.';

    public const IODISED = 'Iodised salt works; some jars start slower and cloud.';

    public const ANTI_CAKING = 'Anti-caking agents can cloud the brine; it does no harm.';

    /** @return list<string> the weightiest first */
    public static function on(SaltProduct $salt): array
    {
        return array_values(array_filter([
            $salt->potassium ? self::POTASSIUM : null,
            $salt->iodised ? self::IODISED : null,
            $salt->antiCaking && ! $salt->iodised ? self::ANTI_CAKING : null,
        ]));
    }
}
