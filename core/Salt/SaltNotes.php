<?php

declare(strict_types=1);

namespace Tempesal\Core\Salt;

use Tempesal\Core\Message\Message;

/**
 * What a cook should know of a salt before it goes into a jar.
 */
final class SaltNotes
{
    /** @return list<Message> the weightiest first */
    public static function on(SaltProduct $salt): array
    {
        return array_values(
            array_filter([
                $salt->potassium ? Message::of('salt_note.potassium') : null,
                $salt->iodised ? Message::of('salt_note.iodised') : null,
                $salt->antiCaking && !$salt->iodised ? Message::of('salt_note.anti_caking') : null,
            ]),
        );
    }
}
