<?php

declare(strict_types=1);

namespace Tempesal\Core\Compute;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Document\Pantry;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\NotEnough;
use Tempesal\Core\Ledger\StarterTransfer;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;

/**
 * One or more batches in Tempesal's documented form, version 1, and what follows from them.
 *
 * A batch is a list of steps. A starter may come from another batch of the document: that one is worked out first, and
 * the brine leaves it after its last step, or after the step that is named.
 */
final class BatchDocument
{
    public const FORMAT = 'batch';

    public const VERSION = 1;

    /** How many batches and steps one document may have. */
    private const MOST_BATCHES = 200;

    /** @var array<string, BatchSteps> */
    private array $batches = [];

    /** @var list<string> ids of batches that are being worked out, outermost first */
    private array $inWork = [];

    private function __construct(private readonly Fields $document) {}

    /**
     * @param  mixed  $decoded  the decoded JSON
     *
     * @throws InvalidField
     */
    public static function read(mixed $decoded, Pantry $pantry): self
    {
        $head = Fields::of($decoded);
        if ($head->text('tempesal') !== self::FORMAT) {
            throw $head->invalid('tempesal', Message::of('errors.not_a_batch'));
        }
        if ($head->number('version') !== (float) self::VERSION) {
            throw $head->invalid('version', Message::of('errors.wrong_version', version: self::VERSION));
        }
        $filled = $head->raw();
        $known = $pantry->with($head);
        foreach (['steps', 'serving', 'questions', 'batches'] as $part) {
            if (is_array($filled[$part] ?? null)) {
                $filled[$part] = $known->fill($filled[$part], $part);
            }
        }

        $document = new self(Fields::of($filled));
        $document->readBatches();

        return $document;
    }

    /**
     * Everything worked out.
     *
     * @return array<string, mixed> the documented answer
     *
     * @throws InvalidField
     */
    public function compute(): array
    {
        $results = $kitchen = [];
        foreach ($this->batches as $id => $steps) {
            $this->linesOf($id);
        }
        foreach ($this->batches as $id => $steps) {
            $ledger = $this->checked($steps);
            $results[] = BatchResult::of($id, $steps, $ledger);
            foreach ($ledger->state()->whereabouts() as $place => $sodium) {
                $kitchen[$place] = ($kitchen[$place] ?? 0.0) + $sodium;
            }
        }

        return [
            'tempesal' => 'batch-result',
            'version' => self::VERSION,
            'batches' => $results,
            'kitchen' => ['whereaboutsMg' => $kitchen],
        ];
    }

    /** @throws InvalidField */
    private function readBatches(): void
    {
        foreach (['tempesal', 'version', 'ingredients', 'salts', 'note'] as $known) {
            $this->document->has($known);
        }
        $hasMany = $this->document->has('batches');
        if ($hasMany && $this->document->has('steps')) {
            throw $this->document->invalid('steps', Message::of('errors.steps_in_batches'));
        }
        if (!$hasMany) {
            $this->batches['batch'] = BatchSteps::read('batch', $this->document);
        } else {
            $all = $this->document->child('batches');
            $ids = $all->names();
            if ($ids === [] || count($ids) > self::MOST_BATCHES) {
                throw $this->document->invalid('batches', Message::of('errors.batch_count', most: self::MOST_BATCHES));
            }
            foreach ($ids as $id) {
                $this->batches[$id] = BatchSteps::read($id, $all->child($id));
            }
        }
        $this->document->refuseUnread();
    }

    /**
     * The lines of a batch with its borrowed starters in place; what it lends is written into the lenders on the way.
     *
     * @throws InvalidField
     */
    private function linesOf(string $id): void
    {
        $steps = $this->batches[$id];
        if ($steps->isWorkedOut) {
            return;
        }
        $this->inWork[] = $id;
        foreach ($steps->borrowed() as $loan) {
            if (!isset($this->batches[$loan->lender])) {
                throw new InvalidField(
                    "{$loan->path}.fromBatch",
                    Message::of('errors.no_batch_in_document', id: $loan->lender),
                );
            }
            if (in_array($loan->lender, $this->inWork, true)) {
                throw new InvalidField(
                    "{$loan->path}.fromBatch",
                    Message::of('errors.starter_circle', names: Listed::all([...$this->inWork, $loan->lender])),
                );
            }
            $this->linesOf($loan->lender);
            $this->lend($loan, $id);
        }
        $steps->isWorkedOut = true;
        array_pop($this->inWork);
    }

    /** @throws InvalidField */
    private function lend(PendingTransfer $loan, string $borrower): void
    {
        $lender = $this->batches[$loan->lender];
        if ($loan->afterStep !== null && $loan->afterStep > $lender->count()) {
            throw new InvalidField(
                "{$loan->path}.afterStep",
                Message::of('errors.batch_step_count', id: $loan->lender, count: $lender->count()),
            );
        }
        $ledger = new Ledger($lender->linesUpTo($loan->afterStep));
        try {
            $lending = StarterTransfer::from($loan->lender, $lender->name, $ledger);
            [$starter, $give] = $lending->lend($loan->grams, $loan->into, $borrower);
        } catch (NotEnough $refusal) {
            throw $refusal->lineNumber === null
                ? new InvalidField("{$loan->path}.grams", $refusal->explanation())
                : $lender->refusal($refusal);
        }
        $this->batches[$borrower]->settle($loan, $starter);
        $lender->insert($give, $loan->afterStep);
    }

    /** @throws InvalidField */
    private function checked(BatchSteps $steps): Ledger
    {
        $ledger = new Ledger($steps->linesUpTo(null));
        try {
            $ledger->resolved();
        } catch (NotEnough $refusal) {
            throw $steps->refusal($refusal);
        }

        return $ledger;
    }
}
