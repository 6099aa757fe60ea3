<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

use Closure;

/**
 * What follows from what was found. All of its signs must be there, and the jar must be of the kind it speaks of.
 */
final readonly class CheckRule
{
    /**
     * @param  string  $id  a word of its own
     * @param  list<Finding>  $signs  all of which must have been found; none: the jar itself says enough
     * @param  string  $because  the code of the reason
     * @param  string|null  $do  the code of what to do next
     * @param  string|null  $caution  the code of what not to do, and why
     * @param  Closure(CheckedJar, list<Finding>): bool|null  $when  of which jars it speaks, seeing all that was found;
     *     null: of all
     */
    public function __construct(
        public string $id,
        public array $signs,
        public Verdict $verdict,
        public string $because,
        public ?string $do = null,
        public ?string $caution = null,
        public ?Closure $when = null,
    ) {}

    /** @param  list<Finding>  $found */
    public function appliesTo(CheckedJar $jar, array $found): bool
    {
        foreach ($this->signs as $sign) {
            if (!in_array($sign, $found, true)) {
                return false;
            }
        }

        return $this->when === null || ($this->when)($jar, $found);
    }
}
