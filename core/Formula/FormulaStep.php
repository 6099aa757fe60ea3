<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\EntryKinds;
use Tempesal\Core\Process\Processes;

/**
 * A documented step as the entries it makes: one entry, or those of a whole process.
 */
final class FormulaStep
{
    public const PROCESS = 'process';

    /**
     * @return non-empty-list<Entry>
     *
     * @throws InvalidField
     */
    public static function expand(Fields $step): array
    {
        if ($step->has('note')) {
            $step->text('note');
        }

        return $step->text('kind') === self::PROCESS ? Processes::read($step)->entries() : [EntryKinds::read($step)];
    }
}
