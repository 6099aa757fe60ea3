<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Document\Pantry;
use Tempesal\Core\Document\Scaling;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Served;
use Tempesal\Core\Making\StepPlan;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Method\Window;

/**
 * How something is made: amounts and steps that the ledger can carry out, and everything a cook wants to know beside
 * them. Its documented form is docs/formats/formula.md.
 */
final readonly class Formula
{
    public const FORMAT = 'formula';

    public const VERSION = 1;

    private const MOST_LINES = 60;

    /**
     * @param  array<string, mixed>  $document  the documented form, foods and salts by id where they were given so
     * @param  Fields  $filled  the same with the foods and salts themselves
     * @param  list<string>  $work  what to do, in order
     * @param  array<string, list<string>>  $texts  signs, why, schools, cautions, notes
     */
    private function __construct(
        public array $document,
        private Fields $filled,
        public string $name,
        public Method $method,
        public string $group,
        public bool $isLive,
        public Serve $serving,
        public Window $window,
        public JarChoice $vessel,
        public array $work,
        public array $texts,
    ) {}

    /**
     * @param  mixed  $decoded  the decoded JSON
     *
     * @throws InvalidField
     */
    public static function read(mixed $decoded, Pantry $pantry): self
    {
        $head = Fields::of($decoded);
        if ($head->text('tempesal') !== self::FORMAT) {
            throw $head->invalid('tempesal', Message::of('errors.not_a_formula'));
        }
        if ($head->number('version') !== (float) self::VERSION) {
            throw $head->invalid('version', Message::of('errors.wrong_version', version: self::VERSION));
        }
        $raw = $head->raw();
        $steps = $raw['steps'] ?? null;
        if (!is_array($steps) || !array_is_list($steps) || $steps === [] || count($steps) > self::MOST_LINES) {
            throw $head->invalid('steps', Message::of('errors.no_steps'));
        }
        $fields = $head->with('steps', $pantry->fill($steps, 'steps'));
        $texts = [];
        foreach (['signs', 'why', 'schools', 'cautions', 'notes'] as $key) {
            $texts[$key] = $fields->texts($key, self::MOST_LINES);
        }
        $method = Method::read($fields);
        $formula = new self(
            $raw,
            $fields,
            trim($fields->text('name')),
            $method,
            $fields->has('group') ? $fields->text('group') : 'other',
            $fields->flag('isLive'),
            Serve::read($fields->child('serving')),
            Window::read($fields->child('window')),
            JarChoice::read($fields->child('vessel'), $method),
            $fields->texts('work', self::MOST_LINES),
            $texts,
        );
        foreach (['key', 'summary', 'colour', 'keeping', 'sanity', 'season'] as $known) {
            if ($fields->has($known)) {
                $known === 'keeping'
                    ? StatedShelfLife::read($fields->child('keeping'))
                    : ($known === 'sanity'
                        ? $fields->band('sanity')
                        : $fields->text($known));
            }
        }
        $formula->entries();
        $fields->refuseUnread();

        return $formula;
    }

    /** The same formula with every amount multiplied. */
    public function scaled(float $factor): self
    {
        return $this->withSteps(static fn(mixed $steps): mixed => Scaling::of($steps, $factor));
    }

    /** The same formula with its salt alone multiplied. */
    public function salted(float $factor): self
    {
        return $this->withSteps(static fn(mixed $steps): mixed => Scaling::ofSalt($steps, $factor));
    }

    /** @param  callable(mixed): mixed  $change */
    private function withSteps(callable $change): self
    {
        return new self(
            [...$this->document, 'steps' => $change($this->document['steps'])],
            $this->filled->with('steps', $change($this->filled->raw()['steps'])),
            $this->name,
            $this->method,
            $this->group,
            $this->isLive,
            $this->serving,
            $this->window,
            $this->vessel,
            $this->work,
            $this->texts,
        );
    }

    public function serving(Grams $grams): self
    {
        return new self(
            [...$this->document, 'serving' => [...$this->serving->weighing($grams)->toArray()]],
            $this->filled,
            $this->name,
            $this->method,
            $this->group,
            $this->isLive,
            $this->serving->weighing($grams),
            $this->window,
            $this->vessel,
            $this->work,
            $this->texts,
        );
    }

    /** What one reads in a list: a line or two. */
    public function summary(): string
    {
        return $this->filled->has('summary') ? $this->filled->text('summary') : '';
    }

    public function colour(): string
    {
        $colour = $this->filled->has('colour') ? $this->filled->text('colour') : '';

        return preg_match('/^#[0-9a-f]{6}$/', $colour) === 1 ? $colour : '#b9ab99';
    }

    public function keeping(): ?StatedShelfLife
    {
        return $this->filled->has('keeping') ? StatedShelfLife::read($this->filled->child('keeping')) : null;
    }

    /**
     * The entries that a batch begins with.
     *
     * @return non-empty-list<\Tempesal\Core\Ledger\Entry>
     *
     * @throws InvalidField
     */
    public function entries(): array
    {
        $entries = [];
        foreach ($this->filled->each('steps') as $step) {
            array_push($entries, ...FormulaStep::expand($step));
        }

        return $entries === [] ? throw new InvalidField('steps', Message::of('errors.no_steps')) : $entries;
    }

    /** The steps in which a cook makes it. */
    public function steps(): StepPlan
    {
        return StepPlan::of(
            $this->method,
            $this->entries(),
            $this->method->isMixed() && $this->window->readyDays * 24.0 < Window::HOURS_COUNT
                ? Seconds::ofDays($this->window->readyDays)
                : null,
        );
    }

    /** The batch as it is when it is ready to eat: what was left to go on has gone on for the time of the window. */
    public function ledger(): Ledger
    {
        $begun = new Ledger($this->entries());
        $state = $begun->state();

        return $state->bath === null
            ? $begun
            : $begun->asOf($state->clock + Seconds::ofDays($this->window->readyDays)->value);
    }

    /**
     * Everything that goes in, in order.
     *
     * @return list<FormulaLine>
     */
    public function lines(): array
    {
        $lines = [];
        foreach ($this->filled->each('steps') as $step) {
            array_push($lines, ...FormulaLine::ofStep($step));
        }

        return $lines;
    }

    /** The key of the food of which there is most: the one by which a cook scales it. */
    public function mainFood(): ?string
    {
        $most = null;
        foreach ($this->lines() as $line) {
            $isFood = in_array($line->part, ['vegetables', 'base', 'add'], true);
            $most = $isFood && ($most === null || $line->grams > $most->grams) ? $line : $most;
        }

        return $most?->food?->id;
    }

    public function served(): Served
    {
        return $this->serving->served;
    }
}
