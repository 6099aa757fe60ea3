<?php

declare(strict_types=1);

namespace Tempesal\Core\Advice;

/**
 * How much a piece of advice matters.
 */
enum Severity: string
{
    /** Good to know. */
    case Note = 'note';
    /** The batch may turn out worse for it. */
    case Careful = 'careful';
    /** It cannot work, or someone could be harmed. */
    case Stop = 'stop';

    /**
     * @param  list<Advice>  $advice
     * @return list<Advice> the heaviest first
     */
    public static function sorted(array $advice): array
    {
        $order = array_reverse(array_column(self::cases(), 'value'));
        usort(
            $advice,
            static fn(Advice $one, Advice $other): int => array_search($one->severity->value, $order, true) <=>
                array_search($other->severity->value, $order, true),
        );

        return $advice;
    }
}
