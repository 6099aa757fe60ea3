<?php

declare(strict_types=1);

namespace App\Household;

/**
 * What somebody may do in a kitchen, or a token in their name: read it; also write down what was eaten, done and read off;
 * or keep it, which is everything.
 */
enum Access: string
{
    case Read = 'read';
    case Log = 'log';
    case Keep = 'keep';

    public function covers(self $asked): bool
    {
        return $this->rank() >= $asked->rank();
    }

    /** The narrower of the two. */
    public function within(self $other): self
    {
        return $this->covers($other) ? $other : $this;
    }

    private function rank(): int
    {
        return array_search($this, self::cases(), true) ?: 0;
    }
}
