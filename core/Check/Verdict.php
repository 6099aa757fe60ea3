<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

/**
 * What comes of looking into a jar, from the mildest to the strictest. None of them says that a jar is safe.
 */
enum Verdict: string
{
    case Fine = 'fine';
    case FineDo = 'fine_do';
    case Wait = 'wait';
    case DoNotEat = 'do_not_eat';

    public function label(): string
    {
        return match ($this) {
            self::Fine => 'Nothing wrong was found',
            self::FineDo => 'Go on, and do this',
            self::Wait => 'Wait, and look again',
            self::DoNotEat => 'Do not eat it',
        };
    }

    public function strictness(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
