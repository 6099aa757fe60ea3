<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Message\Message;

/**
 * An amount that would do it, or how near one can get.
 */
final readonly class InverseAnswer
{
    /**
     * @param  float|null  $amount  in the unit; null when nothing is needed or nothing helps, as the sentence says
     * @param  string  $unit  g or s
     * @param  float  $reached  the wanted number as it then is: mg of sodium in the serving, or a share
     */
    public function __construct(
        public ?float $amount,
        public string $unit,
        public float $reached,
        public bool $isReached,
        public Message $message,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'amount' => $this->amount,
            'unit' => $this->unit,
            'reached' => $this->reached,
            'isReached' => $this->isReached,
            'sentence' => $this->message,
        ];
    }
}
