<?php

declare(strict_types=1);

namespace Tempesal\Core\Interchange;

use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Document\Pantry;
use Tempesal\Core\Formula\Formula;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Message\Message;

/**
 * Looks at what somebody wants to bring in: Tempesal's own JSON, schema.org recipes, or pasted text. Nothing is
 * written; every candidate comes with its problems.
 */
final readonly class FormulaImport
{
    public const BUNDLE = 'formulas';

    private const MOST = 500;

    public function __construct(private Pantry $pantry, private RecipeText $text) {}

    /**
     * @param  mixed  $decoded  JSON, or null when the text is none
     * @return list<array{name: string, document: array<string, mixed>|null, lines: list<array<string, mixed>>,
     *     problems: list<array{path: string, text: Message}>}>
     *
     * @throws InvalidField when nothing in it could be a formula
     */
    public function look(string $text, mixed $decoded): array
    {
        if ($decoded === null) {
            return [$this->fromText($text)];
        }
        $found = match (true) {
            is_array($decoded) && ($decoded['tempesal'] ?? null) === Formula::FORMAT => [$this->own($decoded)],
            is_array($decoded) && ($decoded['tempesal'] ?? null) === self::BUNDLE => $this->bundle($decoded),
            default => array_map($this->recipe(...), array_slice(SchemaRecipe::find($decoded), 0, self::MOST)),
        };

        return $found === [] ? throw new InvalidField('text', Message::of('errors.nothing_to_import')) : $found;
    }

    /**
     * @param  array<array-key, mixed>  $decoded
     * @return list<array{name: string, document: array<string, mixed>|null, lines: list<array<string, mixed>>,
     *     problems: list<array{path: string, text: Message}>}>
     */
    private function bundle(array $decoded): array
    {
        $formulas = $decoded['formulas'] ?? null;
        if (!is_array($formulas) || !array_is_list($formulas) || count($formulas) > self::MOST) {
            throw new InvalidField('text', Message::of('errors.formula_count', most: self::MOST));
        }

        return array_map($this->own(...), $formulas);
    }

    /**
     * @return array{name: string, document: array<string, mixed>|null, lines: list<array<string, mixed>>,
     *     problems: list<array{path: string, text: Message}>}
     */
    private function own(mixed $document): array
    {
        $name = is_array($document) && is_string($document['name'] ?? null) ? mb_substr($document['name'], 0, 200) : '';
        try {
            $formula = Formula::read($document, $this->pantry);
            $answer = FormulaAnswer::of($formula);
            $problems = array_map(
                static fn($advice): array => ['path' => '', 'text' => $advice->text],
                array_values(
                    array_filter($answer->advice(), static fn($advice): bool => $advice->code === 'below_floor'),
                ),
            );

            return ['name' => $formula->name, 'document' => $formula->document, 'lines' => [], 'problems' => $problems];
        } catch (InvalidField $refusal) {
            return [
                'name' => $name,
                'document' => null,
                'lines' => [],
                'problems' => [['path' => $refusal->path, 'text' => $refusal->explanation()]],
            ];
        }
    }

    /**
     * @param  array<string, mixed>  $recipe
     * @return array{name: string, document: array<string, mixed>|null, lines: list<array<string, mixed>>,
     *     problems: list<array{path: string, text: Message}>}
     */
    private function recipe(array $recipe): array
    {
        $carried = SchemaRecipe::carried($recipe);
        if (is_array($carried)) {
            return $this->own($carried);
        }
        $texts = SchemaRecipe::texts($recipe);
        $lines = [];
        foreach ($texts['ingredients'] as $i => $ingredient) {
            $lines[] = $this->text->line($i + 1, $ingredient);
        }

        return self::drafted($texts['name'], $lines, $texts['work']);
    }

    /**
     * @return array{name: string, document: array<string, mixed>|null, lines: list<array<string, mixed>>,
     *     problems: list<array{path: string, text: Message}>}
     */
    private function fromText(string $text): array
    {
        $lines = $this->text->read($text);
        if ($lines === []) {
            throw new InvalidField('text', Message::of('errors.import_empty'));
        }
        $name = '';
        if (
            $lines[0]->kind === 'heading' ||
            ($lines[0]->kind === 'food' && $lines[0]->grams === null && $lines[0]->id === null)
        ) {
            $name = rtrim(array_shift($lines)->text, ':');
        }

        return self::drafted($name, $lines, []);
    }

    /**
     * @param  list<RecipeLine>  $lines
     * @param  list<string>  $work
     * @return array{name: string, document: array<string, mixed>|null, lines: list<array<string, mixed>>,
     *     problems: list<array{path: string, text: Message}>}
     */
    private static function drafted(string $name, array $lines, array $work): array
    {
        $document = RecipeDraft::of($name, $lines, null, $work);
        $problems = [];
        foreach ($lines as $line) {
            if ($line->problem !== null) {
                $problems[] = [
                    'path' => "line {$line->number}",
                    'text' => Message::of('import.line', line: $line->text, problem: $line->problem),
                ];
            }
        }

        return [
            'name' => is_string($document['name']) ? $document['name'] : '',
            'document' => $document['steps'] === [] ? null : $document,
            'lines' => array_map(static fn(RecipeLine $line): array => $line->toArray(), $lines),
            'problems' => $problems,
        ];
    }
}
