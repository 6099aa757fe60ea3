<?php

declare(strict_types=1);

namespace Tempesal\Core\Compute;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Formula\FormulaStep;
use Tempesal\Core\Inverse\InverseQuestion;
use Tempesal\Core\Inverse\InverseQuestions;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\Entry\Give;
use Tempesal\Core\Ledger\Entry\Serve;
use Tempesal\Core\Ledger\Entry\Starter;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;
use Tempesal\Core\Produce\Ingredient;

/**
 * The steps of one batch of a document, each an entry or a whole process, expanded into the entries of a ledger.
 */
final class BatchSteps
{
    private const MOST_STEPS = 2_000;

    public bool $isWorkedOut = false;

    /**
     * @param  list<array{entry: Entry|null, step: int, path: string}>  $lines  a loan's entry is null until it is
     *     settled
     * @param  array<int, PendingTransfer>  $loans  by the line they belong to
     * @param  list<InverseQuestion>  $questions
     * @param  Method|null  $method  by which it is judged; null where nobody said
     */
    private function __construct(
        public readonly string $name,
        private array $lines,
        private array $loans,
        public readonly ?Serve $serving,
        public readonly array $questions,
        private readonly int $count,
        public readonly ?Method $method,
    ) {}

    /** @throws InvalidField */
    public static function read(string $id, Fields $fields): self
    {
        $steps = $fields->each('steps');
        if ($steps === [] || count($steps) > self::MOST_STEPS) {
            throw $fields->invalid('steps', Message::of('errors.step_count', most: self::MOST_STEPS));
        }
        $lines = $loans = [];
        foreach ($steps as $number => $step) {
            foreach (self::expand($step) as $entry) {
                if ($entry instanceof PendingTransfer) {
                    $loans[count($lines)] = $entry;
                }
                $lines[] = [
                    'entry' => $entry instanceof PendingTransfer ? null : $entry,
                    'step' => $number + 1,
                    'path' => $step->at(),
                ];
            }
        }

        return new self(
            $fields->has('name') ? $fields->text('name') : $id,
            $lines,
            $loans,
            $fields->has('serving') ? Serve::read($fields->child('serving')) : null,
            array_map(InverseQuestions::read(...), $fields->each('questions')),
            count($steps),
            $fields->has('method') ? Method::read($fields) : self::methodOf($steps),
        );
    }

    /**
     * The method of the first process; null where the document has entries only.
     *
     * @param  list<Fields>  $steps
     *
     * @throws InvalidField
     */
    private static function methodOf(array $steps): ?Method
    {
        foreach ($steps as $step) {
            if ($step->text('kind') === FormulaStep::PROCESS) {
                return Method::read($step);
            }
        }

        return null;
    }

    /** How many steps the document gives it. */
    public function count(): int
    {
        return $this->count;
    }

    /** @return list<PendingTransfer> in the order of the steps */
    public function borrowed(): array
    {
        $loans = [];
        foreach ($this->loans as $place => $loan) {
            $loans[] = $loan->standingAt($place);
        }

        return $loans;
    }

    /** Puts the starter that was lent where its step stands. */
    public function settle(PendingTransfer $loan, Starter $starter): void
    {
        $this->lines[$loan->place]['entry'] = $starter;
    }

    /** Writes down what was lent, after a step or after the last. */
    public function insert(Give $give, ?int $afterStep): void
    {
        $step = $afterStep ?? $this->count;
        $before = array_values(array_filter($this->lines, static fn(array $line): bool => $line['step'] <= $step));
        $after = array_values(array_filter($this->lines, static fn(array $line): bool => $line['step'] > $step));
        $this->lines = [...$before, ['entry' => $give, 'step' => $step, 'path' => ''], ...$after];
    }

    /**
     * @param  int|null  $step  from 1; null: all
     * @return list<Entry>
     */
    public function linesUpTo(?int $step): array
    {
        $entries = [];
        foreach ($this->lines as $line) {
            if ($line['entry'] !== null && ($step === null || $line['step'] <= $step)) {
                $entries[] = $line['entry'];
            }
        }

        return $entries;
    }

    /** @return list<int> the step, from 1, that each entry belongs to */
    public function stepNumbers(): array
    {
        return array_column($this->lines, 'step');
    }

    /** What a step could not do, with its path in the document. */
    public function refusal(NotEnough $refusal): InvalidField
    {
        $line = $refusal->lineNumber === null ? null : $this->lines[$refusal->lineNumber];
        if ($line === null || $line['path'] === '') {
            return new InvalidField('steps', $refusal->explanation());
        }
        $hasGrams = isset($line['entry']?->toArray()['grams']);

        return new InvalidField($line['path'] . ($hasGrams ? '.grams' : ''), $refusal->explanation());
    }

    /**
     * @return list<Entry|PendingTransfer>
     *
     * @throws InvalidField
     */
    private static function expand(Fields $step): array
    {
        $kind = $step->text('kind');
        if ($kind === FormulaStep::PROCESS) {
            return self::process($step);
        }
        if ($kind === Starter::kind() && self::isLoan($step)) {
            return [self::loan($step)];
        }

        return FormulaStep::expand($step);
    }

    /**
     * The entries of a whole process. A starter that is to come from another batch stands in for itself as water until
     * its lender is worked out.
     *
     * @return list<Entry|PendingTransfer>
     *
     * @throws InvalidField
     */
    private static function process(Fields $step): array
    {
        $loan = null;
        foreach (['starter', 'brine'] as $part) {
            if ($step->has($part) && self::isLoan($step->child($part))) {
                $loan = self::loan($step->child($part));
                $step = $step->with(
                    $part,
                    $step
                        ->child($part)
                        ->with('liquid', Ingredient::water()->toArray())
                        ->raw(),
                );
            }
        }

        return array_map(
            static fn(Entry $entry): Entry|PendingTransfer => $loan !== null && $entry instanceof Starter
                ? $loan->into($entry->into)
                : $entry,
            FormulaStep::expand($step),
        );
    }

    private static function isLoan(Fields $starter): bool
    {
        return $starter->has('fromBatch') && !$starter->has('liquid');
    }

    /** @throws InvalidField */
    private static function loan(Fields $starter): PendingTransfer
    {
        $afterStep = $starter->has('afterStep') ? (int) $starter->number('afterStep') : null;
        if ($afterStep !== null && $afterStep < 1) {
            throw $starter->invalid('afterStep', Message::of('errors.steps_from_one'));
        }

        return new PendingTransfer(
            0,
            $starter->text('fromBatch'),
            $starter->grams(),
            $starter->has('into') ? $starter->choice('into', Phase::class) : null,
            $afterStep,
            $starter->at(),
        );
    }
}
