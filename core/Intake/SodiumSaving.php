<?php

declare(strict_types=1);

namespace Tempesal\Core\Intake;

use Tempesal\Core\Message\Message;

/**
 * A change of one serving, and what it would hold then.
 */
final readonly class SodiumSaving
{
    /**
     * @param  float  $milligrams  of sodium in the serving then
     * @param  float  $savesMg  less than it holds now
     * @param  bool  $isEnough  whether it then holds no more than was wanted
     */
    public function __construct(
        public RemedyKind $kind,
        public Message $text,
        public float $milligrams,
        public float $savesMg,
        public bool $isEnough,
    ) {}

    /**
     * @return array{kind: string, text: Message, cost: Message|null, milligrams: float, savesMg: float,
     *     savesPercent: float, isEnough: bool}
     */
    public function toArray(): array
    {
        $before = $this->milligrams + $this->savesMg;

        return [
            'kind' => $this->kind->value,
            'text' => $this->text,
            'cost' => $this->kind->cost(),
            'milligrams' => $this->milligrams,
            'savesMg' => $this->savesMg,
            'savesPercent' => $before > 0.0 ? ($this->savesMg / $before) * 100.0 : 0.0,
            'isEnough' => $this->isEnough,
        ];
    }
}
