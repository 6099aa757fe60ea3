<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Message\Message;

/**
 * How long it keeps once it is ready, and where.
 */
final readonly class StatedShelfLife
{
    private function __construct(public float $days, public string $where, public string $text) {}

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        $days = $fields->number('days');
        if ($days <= 0.0 || $days > 2_000.0) {
            throw $fields->invalid('days', Message::of('errors.shelf_life_days'));
        }

        return new self(
            $days,
            $fields->has('where') ? $fields->text('where') : 'fridge',
            $fields->has('text') ? $fields->text('text') : '',
        );
    }
}
