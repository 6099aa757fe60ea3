<?php

declare(strict_types=1);

namespace Tempesal\Core\Message;

/**
 * An exception that is made of a message.
 */
trait Explains
{
    public function __construct(private readonly Message $explanation)
    {
        parent::__construct($explanation->encode());
    }

    public function explanation(): Message
    {
        return $this->explanation;
    }
}
