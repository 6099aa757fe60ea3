<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger;

use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Measure\Composition;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Produce\Allergen;
use Tempesal\Core\Produce\Ingredient;
use Tempesal\Core\Uptake\Piece;
use Tempesal\Core\Uptake\TemperatureHistory;

/**
 * What a batch holds at one moment, and what has crossed the wall of its jar until then.
 *
 * For water, sodium and other matter alike:
 * outside + received + correction = pieces + brine + sauce + eaten + discarded + given away + evaporated.
 */
final readonly class BatchState
{
    /** What sums may be off by, as a share: everything closer than that is the same weight. */
    public const ROUNDING = 1e-9;

    private const TRACE = 1e-6;

    /** What two ways to the same state may differ by in a number, as a share. */
    private const SAME = 1e-12;

    /**
     * @param  array<string, Composition>  $phases  by the value of Phase
     * @param  array<string, Composition>  $accounts  by the value of Account
     * @param  array<string, PieceKind>  $kinds  what the pieces are, by kind; together they weigh what the pieces do
     * @param  bool  $isApart  whether foods that are cut otherwise are kinds of their own; otherwise all pieces are one
     *     kind, cut as the heaviest of them
     * @param  bool  $live  whether it holds living cultures
     * @param  array<string, true>  $allergens  by the value of Allergen
     * @param  float  $clock  seconds since the batch was begun
     * @param  float  $bathedFor  seconds at 20 °C since pieces and brine were last mixed anew; INF: at rest
     * @param  list<float>  $bathBegan  mg of sodium per g of water, over K, at that moment: in the brine, in each kind
     * @param  SoakInProgress|null  $bath  a rest that goes on
     * @param  float  $ripened  seconds at the reference temperature in which it has ripened
     */
    private function __construct(
        private array $phases = [],
        private array $accounts = [],
        private array $kinds = [],
        private bool $isApart = true,
        public bool $live = true,
        private array $allergens = [],
        public float $clock = 0.0,
        public float $bathedFor = 0.0,
        public array $bathBegan = [],
        public ?SoakInProgress $bath = null,
        public float $ripened = 0.0,
    ) {}

    /** @return list<mixed> to be kept: its shape, and its numbers in one piece; a rest that goes on is not */
    public function __serialize(): array
    {
        $accounts = [];
        foreach ($this->accounts as $masses) {
            array_push($accounts, $masses->waterG, $masses->sodiumMg, $masses->otherG);
        }

        return [
            array_keys($this->phases),
            array_keys($this->accounts),
            array_map(static fn(PieceKind $kind): array => [$kind->piece, $kind->label, $kind->key], $this->kinds),
            $this->isApart,
            $this->live,
            $this->allergens,
            self::packed([...$accounts, ...$this->numbers()]),
        ];
    }

    /**
     * @param  array{list<string>, list<string>, array<string, array{Piece, Message|null, string}>, bool, bool,
     *     array<string, true>, string}  $kept
     */
    public function __unserialize(array $kept): void
    {
        [$phases, $accounts, $kinds, $this->isApart, $this->live, $this->allergens, $packed] = $kept;
        $numbers = self::unpacked($packed);
        $next = 0;
        $this->accounts = self::masses($accounts, $numbers, $next);
        $this->clock = $numbers[$next];
        $this->bathedFor = $numbers[$next + 1];
        $this->ripened = $numbers[$next + 2];
        $next += 3;
        $this->phases = self::masses($phases, $numbers, $next);
        $there = [];
        foreach ($kinds as $key => [$piece, $label, $own]) {
            $there[$key] = self::pieces($piece, $label, $own, $numbers, $next);
        }
        $this->kinds = $there;
        $this->bathBegan = array_slice($numbers, $next);
        $this->bath = null;
    }

    /** @param  list<float>  $numbers */
    public static function packed(array $numbers): string
    {
        return pack('d*', ...$numbers);
    }

    /** @return list<float> */
    public static function unpacked(string $packed): array
    {
        /** @var array<int, float> $numbers */
        $numbers = (array) unpack('d*', $packed);

        return array_values($numbers);
    }

    /**
     * @param  list<string>  $keys
     * @param  list<float>  $numbers
     * @param  int  $next  moved on
     * @return array<string, Composition>
     */
    private static function masses(array $keys, array $numbers, int &$next): array
    {
        $masses = [];
        foreach ($keys as $key) {
            $masses[$key] = new Composition($numbers[$next], $numbers[$next + 1], $numbers[$next + 2]);
            $next += 3;
        }

        return $masses;
    }

    /**
     * @param  list<float>  $numbers
     * @param  int  $next  moved on
     */
    private static function pieces(Piece $piece, ?Message $label, string $key, array $numbers, int &$next): PieceKind
    {
        $masses = new Composition($numbers[$next], $numbers[$next + 1], $numbers[$next + 2]);
        $next += 4;

        return new PieceKind($piece, $masses, $numbers[$next - 1], $label, $key);
    }

    /** @param  bool  $isApart  false: all pieces count as one kind, as jars were kept before they knew their kinds */
    public static function empty(bool $isApart = true): self
    {
        return new self(isApart: $isApart);
    }

    public function phase(Phase $phase): Composition
    {
        return $this->phases[$phase->value] ?? Composition::none();
    }

    public function account(Account $account): Composition
    {
        return $this->accounts[$account->value] ?? Composition::none();
    }

    /** Everything that is in the jar. */
    public function present(): Composition
    {
        return $this->phase(Phase::Pieces)->plus($this->phase(Phase::Brine))->plus($this->phase(Phase::Sauce));
    }

    /** @return array<string, PieceKind> what the pieces are, by kind */
    public function kinds(): array
    {
        return $this->kinds;
    }

    /** The kind of which there is most. */
    public function leadingKind(): ?PieceKind
    {
        $leading = null;
        foreach ($this->kinds as $kind) {
            $leading = $leading === null || $kind->addedG > $leading->addedG ? $kind : $leading;
        }

        return $leading;
    }

    /** What the pieces' water counts for beside the brine's, in grams: the sum of K W. */
    public function piecesTakeUpG(Point $point): float
    {
        $sum = 0.0;
        foreach ($this->kinds as $kind) {
            $sum += $kind->partition($point) * $kind->masses->waterG;
        }

        return $this->kinds === [] ? $this->phase(Phase::Pieces)->waterG : $sum;
    }

    /** Whether the batch is one phase: a mash, sauce or paste. */
    public function isOnePhase(): bool
    {
        return !$this->phase(Phase::Sauce)->isNothing();
    }

    /** The phase that liquids join: the sauce once there is one, otherwise the brine. */
    public function liquid(): Phase
    {
        return $this->isOnePhase() ? Phase::Sauce : Phase::Brine;
    }

    /** @return list<Allergen> */
    public function allergens(): array
    {
        return array_map(Allergen::from(...), array_keys($this->allergens));
    }

    /** The same, holding something that some avoid. */
    public function holding(Allergen $allergen): self
    {
        return isset($this->allergens[$allergen->value])
            ? $this
            : $this->with(allergens: [...$this->allergens, $allergen->value => true]);
    }

    /** Mass that comes in. What stands in the brine begins to even out anew. */
    public function receive(Composition $masses, Phase $into, Account $from = Account::Outside): self
    {
        return $this->shifted([$into->value => $masses], [$from->value => $masses], 0.0);
    }

    /** A weight of a food that comes in, with its allergens; among the pieces each way it is cut is a kind. */
    public function receiveFood(
        Ingredient $food,
        float $grams,
        Phase $into,
        Point $point,
        Account $from = Account::Outside,
    ): self {
        $masses = $food->masses($grams, $point);
        $allergens = $this->allergens;
        foreach ($food->allergens as $allergen) {
            $allergens[$allergen->value] = true;
        }
        $next = $into === Phase::Pieces ? $this->receivePieces($food, $grams, $masses) : $this;

        return $next
            ->shifted([$into->value => $masses], [$from->value => $masses], 0.0, kinds: $next->kinds)
            ->with(allergens: $allergens);
    }

    private function receivePieces(Ingredient $food, float $grams, Composition $masses): self
    {
        $kinds = $this->kinds;
        if (!$this->isApart) {
            $there = $kinds[''] ?? null;
            $leads = $there === null || $grams > $there->addedG;
            $kinds[''] = new PieceKind(
                $leads ? $food->piece() : $there->piece,
                $there === null ? $masses : $there->masses->plus($masses),
                $leads ? $grams : $there->addedG,
            );

            return $this->with(kinds: $kinds);
        }
        foreach ($food->cuts() as $cut) {
            $key = $cut->piece->key();
            $there = $kinds[$key] ?? null;
            $added = $grams * $cut->share;
            $leads = $there === null || $added > $there->addedG;
            $kinds[$key] = new PieceKind(
                $cut->piece,
                $there === null ? $masses->times($cut->share) : $there->masses->plus($masses->times($cut->share)),
                $leads ? $added : $there->addedG,
                $leads ? $cut->label : $there->label,
                $key,
            );
        }

        return $this->with(kinds: $kinds);
    }

    /** Mass that a reading says is there beyond the prediction, or short of it when negative. */
    public function correct(Composition $masses, Phase $in): self
    {
        return $this->shifted([$in->value => $masses], [Account::Correction->value => $masses]);
    }

    /** Mass that leaves for good. The caller has taken it from what is there. */
    public function release(Composition $masses, Phase $from, Account $to): self
    {
        return $this->shifted([$from->value => $masses->times(-1.0)], [$to->value => $masses]);
    }

    /** All of a phase leaves for good. */
    public function releaseAll(Phase $from, Account $to): self
    {
        $masses = $this->phase($from);

        return $this->emptied($from)->shifted([], [$to->value => $masses]);
    }

    /** Mass that moves inside the jar. */
    public function move(Composition $masses, Phase $from, Phase $to): self
    {
        return $this->shifted([$from->value => $masses->times(-1.0), $to->value => $masses]);
    }

    /** All of a phase becomes part of another. */
    public function moveAll(Phase $from, Phase $to): self
    {
        $masses = $this->phase($from);

        return $this->emptied($from)->shifted([$to->value => $masses]);
    }

    /**
     * A weight of one phase at its present composition. More than there is is refused at the typical point; away from it a
     * band may leave less than was taken, and then it is all but a trace, which keeps the composition known.
     *
     * @throws NotEnough when the phase holds less
     */
    public function portion(Phase $phase, float $grams, Point $point): Composition
    {
        $there = $this->phase($phase);
        $weight = $there->weightG();
        if ($point->isTypical() && $grams > $weight + self::ROUNDING * (1.0 + abs($weight))) {
            throw NotEnough::of($phase, $grams, $weight);
        }

        if ($weight <= 0.0) {
            return Composition::none();
        }
        $share = $grams / $weight;

        return $there->times($share > 1.0 + self::ROUNDING ? 1.0 - self::TRACE : min(1.0, $share));
    }

    /**
     * Sodium moves between brine and pieces without disturbing the bath.
     *
     * @param  array<string, float>  $inwardsMg  into each kind, negative outwards
     * @param  list<float>  $bathBegan  as the property
     */
    public function takeUp(array $inwardsMg, float $bathedFor, array $bathBegan): self
    {
        $moved = new Composition(sodiumMg: array_sum($inwardsMg));

        return $this->shifted(
            [Phase::Brine->value => $moved->times(-1.0), Phase::Pieces->value => $moved],
            [],
            $bathedFor,
            $this->kindsWith($inwardsMg),
        )->bathed($bathedFor, $bathBegan);
    }

    /**
     * Time in the bath in which nothing moves.
     *
     * @param  list<float>  $bathBegan  as the property
     */
    public function bathed(float $bathedFor, array $bathBegan): self
    {
        return $this->with(bathedFor: $bathedFor, bathBegan: $bathBegan);
    }

    /**
     * Sodium leaves the pieces for good, from each kind its own part.
     *
     * @param  array<string, float>  $outwardsMg  of each kind
     */
    public function wash(array $outwardsMg, Account $to): self
    {
        $lost = new Composition(sodiumMg: array_sum($outwardsMg));

        return $this->shifted(
            [Phase::Pieces->value => $lost->times(-1.0)],
            [$to->value => $lost],
            null,
            $this->kindsWith(array_map(static fn(float $milligrams): float => -$milligrams, $outwardsMg)),
        );
    }

    /** Pieces and brine were mixed anew: what happens between them starts from evenly spread sodium. */
    public function stirred(): self
    {
        return $this->bathedFor === 0.0 ? $this : $this->with(bathedFor: 0.0, bathBegan: []);
    }

    /** A rest begins now and goes on. */
    public function bathing(TemperatureHistory $temperature, ?Piece $piece): self
    {
        return $this->with(bath: new SoakInProgress($this->clock, $temperature, $piece));
    }

    /**
     * The clock moves on by some seconds in which nothing else happens.
     *
     * @param  float  $ripening  seconds at the reference temperature in which it would ripen as far
     */
    public function later(float $seconds, float $ripening = 0.0): self
    {
        return $this->with(clock: $this->clock + $seconds, ripened: $this->ripened + $ripening);
    }

    /** The same with the rest that goes on, as it is known now; one that was kept has forgotten it. */
    public function inBath(?SoakInProgress $bath): self
    {
        return $bath === null || $bath === $this->bath ? $this : $this->with(bath: $bath);
    }

    /** @return list<float> all that moves in the jar: what a state differs by from one of the same shape, but for its accounts */
    public function numbers(): array
    {
        $numbers = [$this->clock, $this->bathedFor, $this->ripened];
        foreach ($this->phases as $masses) {
            array_push($numbers, $masses->waterG, $masses->sodiumMg, $masses->otherG);
        }
        foreach ($this->kinds as $kind) {
            array_push($numbers, $kind->masses->waterG, $kind->masses->sodiumMg, $kind->masses->otherG, $kind->addedG);
        }

        return [...$numbers, ...$this->bathBegan];
    }

    /**
     * The same with another's numbers.
     *
     * @param  list<float>  $numbers  of a state of the same shape
     */
    public function withNumbers(array $numbers): self
    {
        $next = 3;
        $phases = self::masses(array_keys($this->phases), $numbers, $next);
        $kinds = [];
        foreach ($this->kinds as $key => $kind) {
            $kinds[$key] = self::pieces($kind->piece, $kind->label, $kind->key, $numbers, $next);
        }

        return new self(
            $phases,
            $this->accounts,
            $kinds,
            $this->isApart,
            $this->live,
            $this->allergens,
            $numbers[0],
            $numbers[1],
            array_slice($numbers, $next),
            $this->bath,
            $numbers[2],
        );
    }

    /** Whether it is the other but for rounding, whatever has crossed the wall of the jar. */
    public function equals(self $other): bool
    {
        [$ours, $theirs] = [$this->numbers(), $other->numbers()];
        foreach ($ours as $i => $number) {
            $that = $theirs[$i] ?? NAN;
            if ($number !== $that && !(abs($number - $that) <= self::SAME * (1.0 + abs($number)))) {
                return false;
            }
        }

        return $this->isShapedAs($other);
    }

    /** Whether it differs from the other by numbers alone, whatever has crossed the wall of the jar. */
    public function isShapedAs(self $other): bool
    {
        $numbers = $this->numbers();

        return count($numbers) === count($other->numbers()) &&
            $other->withNumbers($numbers) == $this->onAccountsOf($other);
    }

    /** The same with another's accounts. */
    public function onAccountsOf(self $other): self
    {
        return $this->with(accounts: $other->accounts);
    }

    public function heated(): self
    {
        return $this->with(live: false);
    }

    /** Living cultures came in. */
    public function inoculated(): self
    {
        return $this->with(live: true);
    }

    /**
     * Where the sodium is that came in: what is in the jar by phase, what has left it by account, in mg.
     *
     * @return array<string, float> by the value of Phase or Account
     */
    public function whereabouts(): array
    {
        $places = [];
        foreach (Phase::cases() as $phase) {
            $places[$phase->value] = $this->phase($phase)->sodiumMg;
        }
        foreach (Account::cases() as $account) {
            if (!$account->isSource()) {
                $places[$account->value] = $this->account($account)->sodiumMg;
            }
        }

        return $places;
    }

    /** The sodium that is not accounted for, in mg: 0 but for rounding. */
    public function sodiumAstray(): float
    {
        $astray = -$this->present()->sodiumMg;
        foreach (Account::cases() as $account) {
            $astray += ($account->isSource() ? 1.0 : -1.0) * $this->account($account)->sodiumMg;
        }

        return $astray;
    }

    /**
     * @param  array<string, Composition>  $intoPhases  what is added to each, by the value of Phase
     * @param  array<string, Composition>  $onAccounts  what is booked on each, by the value of Account
     * @param  array<string, PieceKind>|null  $kinds  null: each kind has its part of what is added to the pieces
     */
    private function shifted(
        array $intoPhases,
        array $onAccounts = [],
        ?float $bathedFor = null,
        ?array $kinds = null,
    ): self {
        $phases = $this->phases;
        foreach ($intoPhases as $phase => $masses) {
            $phases[$phase] = isset($phases[$phase]) ? $phases[$phase]->plus($masses) : $masses;
        }
        $accounts = $this->accounts;
        foreach ($onAccounts as $account => $masses) {
            $accounts[$account] = isset($accounts[$account]) ? $accounts[$account]->plus($masses) : $masses;
        }
        $shared = $intoPhases[Phase::Pieces->value] ?? null;

        return new self(
            $phases,
            $accounts,
            $kinds ?? ($shared === null ? $this->kinds : $this->kindsSharing($shared)),
            $this->isApart,
            $this->live,
            $this->allergens,
            $this->clock,
            $bathedFor ?? $this->bathedFor,
            $bathedFor === 0.0 ? [] : $this->bathBegan,
            $this->bath,
            $this->ripened,
        );
    }

    private function emptied(Phase $phase): self
    {
        $phases = $this->phases;
        unset($phases[$phase->value]);

        return $this->with(phases: $phases, kinds: $phase === Phase::Pieces ? [] : $this->kinds);
    }

    /**
     * What joins or leaves the pieces as a whole, in the proportions of what each kind holds of it: water by water,
     * sodium by sodium, other matter by other matter.
     *
     * @return array<string, PieceKind>
     */
    private function kindsSharing(Composition $masses): array
    {
        $all = $this->phase(Phase::Pieces);
        if (count($this->kinds) <= 1) {
            return array_map(static fn(PieceKind $kind): PieceKind => $kind->plus($masses), $this->kinds);
        }
        $byWater = static fn(PieceKind $kind): float => $all->waterG > 0.0 ? $kind->masses->waterG / $all->waterG : 0.0;
        $share = static fn(float $part, float $of, float $otherwise): float => $of > 0.0 ? $part / $of : $otherwise;

        return array_map(
            static fn(PieceKind $kind): PieceKind => $kind->plus(
                new Composition(
                    $masses->waterG * $byWater($kind),
                    $masses->sodiumMg * $share($kind->masses->sodiumMg, $all->sodiumMg, $byWater($kind)),
                    $masses->otherG * $share($kind->masses->otherG, $all->otherG, $byWater($kind)),
                ),
            ),
            $this->kinds,
        );
    }

    /**
     * @param  array<string, float>  $sodiumMg  that is added to each
     * @return array<string, PieceKind>
     */
    private function kindsWith(array $sodiumMg): array
    {
        $kinds = $this->kinds;
        foreach ($sodiumMg as $key => $milligrams) {
            $kinds[$key] = $kinds[$key]->plus(new Composition(sodiumMg: $milligrams));
        }

        return $kinds;
    }

    /**
     * The same but for what is given.
     *
     * @param  array<string, Composition>|null  $phases
     * @param  array<string, Composition>|null  $accounts
     * @param  array<string, PieceKind>|null  $kinds
     * @param  array<string, true>|null  $allergens
     * @param  list<float>|null  $bathBegan
     */
    private function with(
        ?array $phases = null,
        ?array $accounts = null,
        ?array $kinds = null,
        ?bool $live = null,
        ?array $allergens = null,
        ?float $clock = null,
        ?float $bathedFor = null,
        ?array $bathBegan = null,
        ?SoakInProgress $bath = null,
        ?float $ripened = null,
    ): self {
        return new self(
            $phases ?? $this->phases,
            $accounts ?? $this->accounts,
            $kinds ?? $this->kinds,
            $this->isApart,
            $live ?? $this->live,
            $allergens ?? $this->allergens,
            $clock ?? $this->clock,
            $bathedFor ?? $this->bathedFor,
            $bathBegan ?? $this->bathBegan,
            $bath ?? $this->bath,
            $ripened ?? $this->ripened,
        );
    }
}
