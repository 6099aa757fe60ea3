<?php

declare(strict_types=1);

namespace Tempesal\Core\Document;

use Tempesal\Core\Message\Message;

/**
 * Foods and salts that a document may call by their id instead of describing them.
 */
final readonly class Pantry
{
    /** Fields in which an id may stand for the thing itself. */
    private const FOOD_FIELDS = ['ingredient', 'liquid'];

    private const SALT_FIELDS = ['product'];

    /**
     * @param  array<string, array<string, mixed>>  $foods  documented forms by id
     * @param  array<string, array<string, mixed>>  $salts  documented forms by id
     */
    public function __construct(private array $foods, private array $salts) {}

    /**
     * The same pantry with a document's own foods and salts on top.
     *
     * @throws InvalidField
     */
    public function with(Fields $document): self
    {
        return new self(
            [...$this->foods, ...self::own($document, 'ingredients')],
            [...$this->salts, ...self::own($document, 'salts')],
        );
    }

    /**
     * Puts the things themselves where their ids stand.
     *
     * @param  array<array-key, mixed>  $values
     * @return array<array-key, mixed>
     *
     * @throws InvalidField for an id that is nowhere
     */
    public function fill(array $values, string $path): array
    {
        $isList = array_is_list($values);
        foreach ($values as $key => $value) {
            $here = $isList ? "{$path}[{$key}]" : ($path === '' ? (string) $key : "{$path}.{$key}");
            $values[$key] = match (true) {
                is_array($value) => $this->fill($value, $here),
                is_string($value) && in_array($key, self::FOOD_FIELDS, true) => self::find(
                    $this->foods,
                    $value,
                    $here,
                    'food',
                ),
                is_string($value) && in_array($key, self::SALT_FIELDS, true) => self::find(
                    $this->salts,
                    $value,
                    $here,
                    'salt',
                ),
                default => $value,
            };
        }

        return $values;
    }

    /**
     * @param  array<string, array<string, mixed>>  $shelf
     * @return array<string, mixed>
     *
     * @throws InvalidField
     */
    private static function find(array $shelf, string $id, string $path, string $what): array
    {
        if (isset($shelf[$id])) {
            return $shelf[$id];
        }
        $near = null;
        $distance = 4;
        foreach (array_keys($shelf) as $known) {
            $away = levenshtein(mb_substr($id, 0, 60), (string) $known);
            if ($away < $distance) {
                [$near, $distance] = [$known, $away];
            }
        }

        throw new InvalidField(
            $path,
            Message::of(
                "errors.unknown_{$what}",
                id: mb_strimwidth($id, 0, 60, '…'),
                near: $near ?? '',
                isNear: $near === null ? 'no' : 'yes',
            ),
        );
    }

    /**
     * @return array<string, array<string, mixed>>
     *
     * @throws InvalidField
     */
    private static function own(Fields $document, string $key): array
    {
        if (!$document->has($key)) {
            return [];
        }
        $all = $document->child($key);
        $own = [];
        foreach ($all->names() as $id) {
            $one = $all->child($id);
            $own[$id] = [
                'id' => $id,
                'name' => $one->has('name') ? $one->text('name') : str_replace('-', ' ', $id),
                ...$one->raw(),
            ];
        }

        return $own;
    }
}
