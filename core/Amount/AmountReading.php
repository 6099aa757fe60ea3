<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

use Tempesal\Core\Measure\Band;
use Tempesal\Core\Message\Message;

/**
 * How a phrase was understood.
 */
final readonly class AmountReading
{
    /** Foods that answer alike are one as long as they weigh alike. */
    public const ALIKE = 1.18;

    /**
     * @param  string  $unit  g, ml, %, mm, C or h
     * @param  Band  $band  in that unit
     * @param  Message  $said  the cook's own measure, as it was understood: "2 tbsp of fine sea salt, heaped"
     * @param  string|null  $basis  of a share or a ratio: water, brine, vegetable, everything; null: not said
     * @param  MeasuredFood|null  $food  what it is an amount of
     * @param  float|null  $count  how many, of what is counted
     * @param  Band|null  $volume  ml, where it was said as a volume
     * @param  float|null  $levelMl  ml of the spoons themselves, where one number of spoons or cups was said
     * @param  string  $fill  how full they are; '' where nothing was said
     */
    public function __construct(
        public ReadingKind $kind,
        public string $unit,
        public Band $band,
        public Message $said,
        public ?string $basis = null,
        public ?MeasuredFood $food = null,
        public ?float $count = null,
        public ?Band $volume = null,
        public ?float $levelMl = null,
        public string $fill = '',
    ) {}

    /** The same with its number: "2 tbsp of fine sea salt, heaped: about 58 g (44–77)". */
    public function inWords(): Message
    {
        $unit = $this->unit === 'C' ? '°C' : $this->unit;

        return match (true) {
            $this->isPlain() => $this->said,
            $this->band->isExact() => Message::of(
                'say.exactly',
                said: $this->said,
                typical: self::rounded($this->band->typical),
                unit: $unit,
            ),
            default => Message::of(
                'say.about',
                said: $this->said,
                typical: self::rounded($this->band->typical),
                low: self::rounded($this->band->low),
                high: self::rounded($this->band->high),
                unit: $unit,
            ),
        };
    }

    /** Whether what was said already says the number. */
    public function isPlain(): bool
    {
        return $this->said->code === 'say.plain';
    }

    public static function rounded(float $value): float
    {
        return $value === 0.0 ? 0.0 : round($value, max(0, 2 - (int) floor(log10(abs($value)))));
    }

    /**
     * Readings for foods that are called alike as one, as long as they weigh alike; null where they do not.
     *
     * @param  list<self>  $readings
     */
    public static function alike(array $readings): ?self
    {
        $typical = array_map(static fn(self $reading): float => $reading->band->typical, $readings);
        $first = $readings[0] ?? null;
        if ($first === null || $typical === [] || max($typical) > self::ALIKE * max(min($typical), 1e-9)) {
            return null;
        }

        return new self(
            $first->kind,
            $first->unit,
            Bands::cover(...array_map(static fn(self $reading): Band => $reading->band, $readings)),
            $first->said,
            $first->basis,
            $first->food,
            $first->count,
        );
    }
}
