<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

use Tempesal\Core\Message\Message;

/**
 * What comes of looking into a jar, from the mildest to the strictest. None of them says that a jar is safe.
 */
enum Verdict: string
{
    case Fine = 'fine';
    case FineDo = 'fine_do';
    case Wait = 'wait';
    case DoNotEat = 'do_not_eat';

    public function label(): Message
    {
        return Message::of("verdict.{$this->value}");
    }

    public function strictness(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
