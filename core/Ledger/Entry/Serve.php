<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\Account;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\ClingingBrine;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Ledger\RecordedWithdrawal;
use Tempesal\Core\Ledger\Resolvable;
use Tempesal\Core\Ledger\Rinsing;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Measure\Band;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Message\Message;

/**
 * A weight goes onto a plate. Pieces take a film of brine with them, and juice when some is wanted; a rinsed portion
 * leaves its film and some of its salt in the sink. The weight counts pieces and film as they leave the jar.
 */
final readonly class Serve implements Resolvable
{
    /** The phase by which it is weighed. */
    public Phase $phase;

    /**
     * @param  Grams|null  $juice  brine that goes along beyond the film
     * @param  Rinsing|null  $rinse  under the tap, before eating
     * @param  array<string, Composition>  $differences  between what was booked and what would leave now, by phase
     */
    public function __construct(
        public Served $served,
        public Grams $grams,
        public Band $film,
        public ?Grams $juice = null,
        public ?Rinsing $rinse = null,
        public ?RecordedWithdrawal $booked = null,
        private array $differences = [],
    ) {
        $this->phase = $served->phase();
    }

    /** A serving with the usual film. */
    public static function of(Served $served, Grams $grams): self
    {
        return new self($served, $grams, ClingingBrine::drained());
    }

    public static function kind(): string
    {
        return 'serve';
    }

    public function rinsed(Rinsing $rinse): self
    {
        return new self($this->served, $this->grams, $this->film, $this->juice, $rinse);
    }

    public function weighing(Grams $grams): self
    {
        return new self($this->served, $grams, $this->film, $this->juice, $this->rinse);
    }

    /** This one and the next, taken at once; null where they are not taken in the same way. */
    public function together(self $next): ?self
    {
        $isSame =
            $this->served === $next->served &&
            ($this->booked === null) === ($next->booked === null) &&
            [$this->film, $this->juice, $this->rinse] == [$next->film, null, null] &&
            [$next->juice, $next->rinse] === [null, null];
        if (!$isSame) {
            return null;
        }
        $differences = $this->differences;
        foreach ($next->differences as $phase => $difference) {
            $differences[$phase] = isset($differences[$phase]) ? $differences[$phase]->plus($difference) : $difference;
        }

        return new self(
            $this->served,
            $this->grams->plus($next->grams),
            $this->film,
            booked: $this->booked,
            differences: $differences,
        );
    }

    /** The same serving with what leaves the jar now written down. */
    public function bookedAt(BatchState $state): self
    {
        $this->applyTo($state, Point::typical());

        return new self(
            $this->served,
            $this->grams,
            $this->film,
            $this->juice,
            $this->rinse,
            RecordedWithdrawal::of($state, $this->parts($state, Point::typical())),
        );
    }

    public function resolve(BatchState $before): self
    {
        $differences = RecordedWithdrawal::differences($this->booked, $before, $this->parts($before, Point::typical()));

        return new self(
            $this->served,
            $this->grams,
            $this->film,
            $this->juice,
            $this->rinse,
            $this->booked,
            $differences,
        );
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        $parts = $this->parts($state, $point);
        $asked = array_sum(array_column($parts, 1));
        $there = $state->phase($this->phase)->weightG();
        [, $served] = end($parts);
        if ($point->isTypical() && $this->booked === null && $served > $there + BatchState::ROUNDING * (1.0 + $there)) {
            throw NotEnough::of($this->phase, $asked, $there);
        }
        $washed = $this->washedShare($state, $point);
        foreach ($parts as [$phase, $grams]) {
            $grams = $this->booked === null ? $grams : min($grams, $state->phase($phase)->weightG());
            $leaving = $state
                ->portion($phase, $grams, $point)
                ->plus($this->differences[$phase->value] ?? Composition::none());
            $lost =
                $phase === $this->phase
                    ? new Composition(sodiumMg: $leaving->sodiumMg * $washed)
                    : ($this->rinse === null
                        ? Composition::none()
                        : $leaving);
            $state = $state
                ->release($lost, $phase, Account::Discarded)
                ->release($leaving->minus($lost), $phase, Account::Eaten);
        }

        return $state;
    }

    /** Milligrams of sodium in the serving: its weight at the composition the batch has. */
    public function sodiumMg(BatchState $state, Point $point): float
    {
        $washed = $this->washedShare($state, $point);
        $sodium = 0.0;
        foreach ($this->parts($state, $point) as [$phase, $grams]) {
            $kept = $phase === $this->phase ? 1.0 - $washed : ($this->rinse === null ? 1.0 : 0.0);
            $sodium += ($kept * $state->phase($phase)->sodiumPer100g() * $grams) / 100.0;
        }

        return $sodium;
    }

    public static function read(Fields $fields): self
    {
        $served = $fields->choice('phase', Served::class, Served::Pieces);
        if ($served !== Served::Pieces) {
            foreach (['juice', 'rinse', 'film'] as $onlyPieces) {
                if ($fields->has($onlyPieces)) {
                    throw $fields->invalid($onlyPieces, Message::of('errors.only_pieces'));
                }
            }
        }
        $rinse = $fields->has('rinse') ? Rinsing::read($fields->child('rinse')) : null;
        $juice = $fields->has('juice') ? $fields->grams('juice') : null;
        if ($rinse !== null && $juice !== null) {
            throw $fields->invalid('juice', Message::of('errors.rinsed_juice'));
        }

        return new self(
            $served,
            $fields->grams(),
            $fields->band('film', ClingingBrine::drained(), 0.0, 1.0),
            $juice,
            $rinse,
            $fields->has('booked') ? RecordedWithdrawal::read($fields->child('booked')) : null,
        );
    }

    public function toArray(): array
    {
        return [
            'kind' => self::kind(),
            'phase' => $this->served->value,
            'grams' => $this->grams->value,
            ...$this->served === Served::Pieces ? ['film' => $this->film->toArray()] : [],
            ...$this->juice === null ? [] : ['juice' => $this->juice->value],
            ...$this->rinse === null ? [] : ['rinse' => $this->rinse->toArray()],
            ...$this->booked === null ? [] : ['booked' => $this->booked->toArray()],
        ];
    }

    /** The share of the pieces' sodium that a rinse takes, 0 to 1. */
    private function washedShare(BatchState $state, Point $point): float
    {
        return $this->rinse === null || $this->phase !== Phase::Pieces ? 0.0 : $this->rinse->share($state, $point);
    }

    /**
     * What the weight on the plate is made of.
     *
     * @return non-empty-list<array{Phase, float}> grams of each phase, the one that was asked for last
     */
    private function parts(BatchState $state, Point $point): array
    {
        $grams = $this->grams->value;
        if ($this->phase !== Phase::Pieces) {
            return [[$this->phase, $grams]];
        }
        $there = $state->phase(Phase::Brine)->weightG();
        if ($this->served === Served::All) {
            return $this->served->parts($state, $grams);
        }
        $film = ClingingBrine::share($this->film, $point);
        $clinging = min($there, ($grams * $film) / (1.0 + $film));

        return [
            [Phase::Brine, min($there, $clinging + ($this->juice->value ?? 0.0))],
            [Phase::Pieces, $grams - $clinging],
        ];
    }
}
