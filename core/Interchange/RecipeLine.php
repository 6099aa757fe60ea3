<?php

declare(strict_types=1);

namespace Tempesal\Core\Interchange;

use Tempesal\Core\Message\Message;

/**
 * One line of a pasted recipe as it was understood. Nothing is dropped: what was not understood says why.
 */
final readonly class RecipeLine
{
    /**
     * @param  int  $number  from 1
     * @param  string  $kind  food, salt, water, work or heading
     * @param  string|null  $id  of the food or salt
     * @param  float|null  $grams  null where no amount was understood
     * @param  Message|null  $problem  what the cook has to settle
     * @param  bool  $isStarter  whether it is a food that brings cultures
     */
    public function __construct(
        public int $number,
        public string $text,
        public string $kind,
        public ?string $id = null,
        public ?float $grams = null,
        public ?Message $problem = null,
        public bool $isStarter = false,
    ) {}

    public function isSettled(): bool
    {
        return $this->problem === null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'number' => $this->number,
            'text' => $this->text,
            'kind' => $this->kind,
            'id' => $this->id,
            'grams' => $this->grams,
            'problem' => $this->problem,
        ];
    }
}
