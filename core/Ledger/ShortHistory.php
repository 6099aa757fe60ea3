<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Closure;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Soak;

/**
 * The history of a batch without what was eaten of it, which is most of its lines: what else was done to it, what it came to
 * after each, and what it came to after everything, servings included.
 */
final readonly class ShortHistory
{
    /**
     * @param  list<LedgerLine>  $lines  as they were carried out
     * @param  list<Milestone>  $milestones  after each of them
     * @param  Closure(): list<BatchState>  $trail  the typical state after each of them
     * @param  BatchState  $end  the typical state after the last line of all
     */
    private function __construct(
        public array $lines,
        public array $milestones,
        private Closure $trail,
        public BatchState $end,
    ) {}

    /** @return list<BatchState> the typical state after each of its lines, for which few ask */
    public function trail(): array
    {
        return ($this->trail)();
    }

    /**
     * What the first lines of a ledger, all of which were carried out, are in short.
     *
     * @param  list<LedgerLine>  $lines  as they were carried out
     * @param  list<BatchState>  $trail  after each of them
     */
    public static function of(array $lines, array $trail, BatchState $end): self
    {
        $others = array_filter($lines, static fn(LedgerLine $line): bool => !($line->entry instanceof Serve));

        $trail = array_values(array_intersect_key($trail, $others));

        return new self(
            array_values($others),
            array_map(Milestone::of(...), $trail),
            static fn(): array => $trail,
            $end,
        );
    }

    /**
     * What it is known by: the lines, when they were written, and how warm the batch stood between them. It changes with every
     * temperature that became another since, and with it all that hangs on it.
     */
    public function mark(): string
    {
        $hash = hash_init('xxh128');
        hash_update($hash, pack('d', $this->end->clock));
        foreach ($this->lines as $i => $line) {
            hash_update($hash, $line->mark . pack('d', $line->at ?? -1.0));
            $stood = $this->milestones[$i];
            $bath = $stood->bath;
            $until = ($this->milestones[$i + 1] ?? $this->end)->clock;
            if ($bath !== null && $until > $stood->clock) {
                hash_update(
                    $hash,
                    pack('d2', ...$bath->stretch($stood->clock - $bath->beganAt, $until - $bath->beganAt)),
                );
            }
        }

        return hash_final($hash);
    }

    public function toKeep(): KeptHistory
    {
        $entries = $rests = $moments = [];
        $rest = $bath = null;
        foreach ($this->lines as $i => $line) {
            if (!($line->entry instanceof Soak)) {
                $entries[$i] = $line->entry;
            }
            $stood = $this->milestones[$i];
            if ($stood->bath !== $bath) {
                $bath = $stood->bath;
                $rest = $bath === null ? null : [$i, $bath->beganAt];
            }
            $rests[] = $rest;
            array_push($moments, $stood->clock, $stood->ripened);
        }

        return new KeptHistory($entries, BatchState::packed($moments), serialize($this->trail()), $this->end, $rests);
    }

    /**
     * What was kept, with the temperatures of its rests as they are known now. Whether it is still the same is told by its mark.
     *
     * @param  list<array{string, float}>  $written  of each line its mark and its moment
     * @param  callable(int): Entry  $read  the entry of a line, as it was written
     */
    public static function found(KeptHistory $kept, array $written, callable $read): ?self
    {
        if (count($written) !== count($kept->rests)) {
            return null;
        }
        $lines = [];
        foreach ($written as $i => [$mark, $at]) {
            $lines[] = new LedgerLine($kept->entries[$i] ?? $read($i), $at, $mark);
        }
        $moments = BatchState::unpacked($kept->moments);
        $milestones = [];
        $bath = null;
        foreach ($kept->rests as $i => $rest) {
            $soak = $lines[$i]->entry;
            if ($rest !== null && $rest[0] === $i && $soak instanceof Soak) {
                $bath = new SoakInProgress($rest[1], $soak->temperature, $soak->piece);
            }
            $milestones[] = new Milestone($moments[2 * $i], $moments[2 * $i + 1], $bath);
        }

        return new self($lines, $milestones, $kept->trail($milestones), $kept->end->inBath($bath));
    }
}
