<?php

declare(strict_types=1);

namespace Tempesal\Core\Question;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Ledger\Ledger;
use Tempesal\Core\Ledger\Strength;

/**
 * How much water would thin the batch to a strength?
 */
final readonly class WaterForStrength implements Question
{
    private function __construct(private Wanted $wanted)
    {
    }

    public static function read(Fields $fields): self
    {
        return new self(Wanted::read($fields));
    }

    public function answer(Ledger $ledger): Answer
    {
        $strength = Strength::of($ledger->state());
        $now = $strength->share($this->wanted->basis) ?? 0.0;
        if ($now <= $this->wanted->share) {
            return new Answer(null, 'g', $now, true, "It is at {$this->wanted->text($now)}; no water is needed.");
        }
        $water = $strength->waterToAdd($this->wanted->share, $this->wanted->basis)->value;

        return new Answer($water, 'g', $this->wanted->share, true, sprintf('%.0f g of water thin it from %s to %s.', $water, $this->wanted->text($now), $this->wanted->text()));
    }
}
