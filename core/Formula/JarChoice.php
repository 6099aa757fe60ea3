<?php

declare(strict_types=1);

namespace Tempesal\Core\Formula;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Measure\Millilitres;
use Tempesal\Core\Measure\Millimetres;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;

/**
 * What it is made in.
 */
final readonly class JarChoice
{
    private function __construct(
        public Millilitres $nominal,
        public Millimetres $headspace,
        public string $cover,
        public string $holdDown,
    ) {}

    /**
     * Without a cover it is the one that is usual for the method.
     *
     * @throws InvalidField
     */
    public static function read(Fields $fields, Method $method): self
    {
        $nominal = $fields->quantity('nominalMl', Millilitres::class);
        if ($nominal->value < 20.0) {
            throw $fields->invalid('nominalMl', Message::of('errors.jar_volume'));
        }

        return new self(
            $nominal,
            $fields->quantity('headspaceMm', Millimetres::class),
            $fields->has('cover') ? $fields->text('cover') : $method->profile()->storage->cover()->value,
            $fields->has('holdDown') ? $fields->text('holdDown') : '',
        );
    }
}
