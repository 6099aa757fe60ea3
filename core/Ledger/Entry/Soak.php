<?php

declare(strict_types=1);

namespace Tempesal\Core\Ledger\Entry;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Estimate\Point;
use Tempesal\Core\Ledger\BatchState;
use Tempesal\Core\Ledger\Diffusion;
use Tempesal\Core\Ledger\Entry;
use Tempesal\Core\Ledger\SoakInProgress;
use Tempesal\Core\Ledger\TimeStep;
use Tempesal\Core\Measure\Celsius;
use Tempesal\Core\Measure\Seconds;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Uptake\Piece;
use Tempesal\Core\Uptake\TemperatureHistory;

/**
 * Pieces lie in their brine, and salt moves: for a time, from now on, or until it is even.
 */
final readonly class Soak implements Entry
{
    /** The same thing by three names. */
    public const WORDS = ['soak', 'rest', 'ferment'];

    /** A kitchen: common practice, no source. */
    public const ROOM_CELSIUS = 20.0;

    /**
     * @param  Seconds|null  $duration  null: from now on, or with $even until salt is even
     * @param  Piece|null  $piece  null: the pieces that are in the jar, as they are usually cut
     * @param  string  $word  how the cook would call it: one of WORDS
     * @param  string|null  $room  where it stands, so that the temperatures known of that room can take the place of
     *     the supposed one
     */
    private function __construct(
        public ?Seconds $duration,
        public TemperatureHistory $temperature,
        public ?Piece $piece,
        public bool $even,
        public string $word = 'soak',
        public ?string $room = null,
    ) {}

    public static function lasting(
        Seconds $duration,
        ?TemperatureHistory $temperature = null,
        ?Piece $piece = null,
    ): self {
        return new self($duration, $temperature ?? self::room(), $piece, false);
    }

    /** Goes on for as long as nothing else happens, and beyond. */
    public static function fromNowOn(?TemperatureHistory $temperature = null, ?Piece $piece = null): self
    {
        return new self(null, $temperature ?? self::room(), $piece, false, 'ferment');
    }

    public static function untilEven(?Piece $piece = null): self
    {
        return new self(null, self::room(), $piece, true, 'rest');
    }

    /** The same under another of its WORDS. */
    public function called(string $word): self
    {
        return new self($this->duration, $this->temperature, $this->piece, $this->even, $word, $this->room);
    }

    /** The same without an end: it lasts until something else is done. */
    public function openEnded(): self
    {
        return new self(null, $this->temperature, $this->piece, false, $this->word, $this->room);
    }

    /** The same in a room whose temperature is looked up. */
    public function in(string $room): self
    {
        return new self($this->duration, $this->temperature, $this->piece, $this->even, $this->word, $room);
    }

    /** The same at other temperatures. */
    public function at(TemperatureHistory $temperature): self
    {
        return new self($this->duration, $temperature, $this->piece, $this->even, $this->word, $this->room);
    }

    public static function room(): TemperatureHistory
    {
        return TemperatureHistory::constant(Celsius::of(self::ROOM_CELSIUS));
    }

    public static function kind(): string
    {
        return 'soak';
    }

    public function applyTo(BatchState $state, Point $point): BatchState
    {
        if ($this->even) {
            return Diffusion::settle($state, $this->piece, $point);
        }
        if ($this->duration === null) {
            return $state->bathing($this->temperature, $this->piece);
        }

        $bath = new SoakInProgress($state->clock, $this->temperature, $this->piece);

        return TimeStep::bathe($state, $bath, 0.0, $this->duration->value, $point);
    }

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        $until = $fields->has('until') ? $fields->text('until') : null;
        $duration = $fields->duration();
        if ($until !== null && $duration !== null) {
            throw $fields->invalid('until', Message::of('errors.time_or_until'));
        }
        if (!in_array($until, [null, 'even', 'further'], true)) {
            throw $fields->invalid('until', Message::of('errors.until'));
        }
        if ($until === null && $duration === null) {
            throw $fields->invalid('hours', Message::of('errors.soak_time'));
        }

        return new self(
            $duration,
            TemperatureHistory::read($fields, self::ROOM_CELSIUS),
            $fields->has('piece') ? Piece::read($fields->child('piece')) : null,
            $until === 'even',
            $fields->has('kind') ? $fields->text('kind') : 'soak',
            $fields->has('room') ? $fields->text('room') : null,
        );
    }

    public function toArray(): array
    {
        return [
            'kind' => $this->word,
            ...$this->duration === null
                ? ['until' => $this->even ? 'even' : 'further']
                : ['seconds' => $this->duration->value],
            ...$this->even ? [] : $this->temperature->toArray(),
            ...$this->room === null ? [] : ['room' => $this->room],
            ...$this->piece === null ? [] : ['piece' => $this->piece->toArray()],
        ];
    }
}
