<?php

declare(strict_types=1);

namespace App\Household;

use App\Models\Household;

/**
 * The household that this request, command or test works for. Every query on a household's rows is bound to it.
 */
final class CurrentHousehold
{
    private ?Household $household = null;

    private Access $access = Access::Keep;

    public function set(Household $household, Access $access = Access::Keep): void
    {
        $this->household = $household;
        $this->access = $access;
    }

    /** What whoever asks may do there. */
    public function access(): Access
    {
        return $this->access;
    }

    /** @throws MissingHousehold when none was set */
    public function get(): Household
    {
        return $this->household ?? throw new MissingHousehold();
    }

    public function id(): string
    {
        return $this->get()->id;
    }

    /**
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    public function during(Household $household, callable $work): mixed
    {
        $before = $this->household;
        $this->household = $household;
        try {
            return $work();
        } finally {
            $this->household = $before;
        }
    }
}
