<?php

declare(strict_types=1);

namespace Tempesal\Core\Interchange;

use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Formula\FormulaLine;
use Tempesal\Core\Intake\LabelRounding;
use Tempesal\Core\Message\Message;

/**
 * A formula as schema.org/Recipe in JSON-LD, for other programs; the formula itself travels along inside, so that
 * nothing is lost on the way back.
 */
final class SchemaRecipe
{
    public const ENCODING = 'application/json';

    private const CARRIED = 'Tempesal formula';

    private const DATA = 'data:application/json;base64,';

    /** @return array<string, mixed> */
    public static function of(FormulaAnswer $answer): array
    {
        $formula = $answer->formula;

        return [
            '@context' => 'https://schema.org',
            '@type' => 'Recipe',
            'name' => $formula->name,
            'description' => $formula->summary(),
            'recipeCategory' => $formula->group,
            'cookingMethod' => $formula->method->label(),
            'recipeYield' => Message::of(
                'recipe.yield',
                servings: $answer->servings(),
                grams: round($formula->serving->grams->value, 1),
            ),
            'totalTime' => sprintf('P%dD', (int) ceil($formula->window->readyDays)),
            'recipeIngredient' => array_map(
                static fn(FormulaLine $line): Message => self::ingredient($line),
                $answer->lines,
            ),
            'recipeInstructions' => array_map(
                static fn(string $text): array => ['@type' => 'HowToStep', 'text' => $text],
                $formula->work,
            ),
            'nutrition' => [
                '@type' => 'NutritionInformation',
                'servingSize' => sprintf('%s g', round($formula->serving->grams->value, 1)),
                'sodiumContent' => sprintf('%d mg', LabelRounding::milligrams($answer->typicalServingMg())),
            ],
            'encoding' => [
                '@type' => 'MediaObject',
                'name' => self::CARRIED,
                'encodingFormat' => self::ENCODING,
                'contentUrl' =>
                    self::DATA .
                    base64_encode(
                        (string) json_encode($formula->document, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
                    ),
            ],
        ];
    }

    /**
     * All recipes in a decoded JSON-LD document: alone, in a list, or in a graph.
     *
     * @return list<array<string, mixed>>
     */
    public static function find(mixed $decoded): array
    {
        if (!is_array($decoded)) {
            return [];
        }
        if (array_is_list($decoded)) {
            return array_merge(...array_map(self::find(...), $decoded));
        }
        $types = (array) ($decoded['@type'] ?? []);
        if (in_array('Recipe', $types, true) || in_array('https://schema.org/Recipe', $types, true)) {
            /** @var array<string, mixed> $decoded */
            return [$decoded];
        }

        return isset($decoded['@graph']) ? self::find($decoded['@graph']) : [];
    }

    /**
     * The formula that a recipe carries inside; null when it was made elsewhere.
     *
     * @param  array<string, mixed>  $recipe
     */
    public static function carried(array $recipe): mixed
    {
        $encodings = $recipe['encoding'] ?? [];
        foreach (is_array($encodings) && array_is_list($encodings) ? $encodings : [$encodings] as $encoding) {
            $url =
                is_array($encoding) && ($encoding['name'] ?? null) === self::CARRIED
                    ? $encoding['contentUrl'] ?? null
                    : null;
            if (is_string($url) && str_starts_with($url, self::DATA)) {
                $text = base64_decode(substr($url, strlen(self::DATA)), true);

                return $text === false ? null : json_decode($text, true, 40);
            }
        }

        return null;
    }

    /**
     * Ingredients and instructions of a recipe that was made elsewhere, as lines of text.
     *
     * @param  array<string, mixed>  $recipe
     * @return array{name: string, ingredients: list<string>, work: list<string>}
     */
    public static function texts(array $recipe): array
    {
        return [
            'name' => is_string($recipe['name'] ?? null) ? mb_substr($recipe['name'], 0, 200) : '',
            'ingredients' => self::flat($recipe['recipeIngredient'] ?? ($recipe['ingredients'] ?? [])),
            'work' => self::flat($recipe['recipeInstructions'] ?? []),
        ];
    }

    private static function ingredient(FormulaLine $line): Message
    {
        return Message::of(
            'recipe.ingredient',
            grams: $line->grams < 10.0 ? round($line->grams, 1) : round($line->grams),
            food: $line->label(),
        );
    }

    /** @return list<string> */
    private static function flat(mixed $value): array
    {
        if (is_string($value)) {
            return array_values(
                array_filter(
                    array_map(
                        static fn(string $line): string => mb_substr(trim(strip_tags($line)), 0, 400),
                        preg_split('/\R/u', $value) ?: [],
                    ),
                ),
            );
        }
        if (!is_array($value)) {
            return [];
        }
        if (isset($value['text'])) {
            return self::flat($value['text']);
        }
        $lines = [];
        $inside = $value['itemListElement'] ?? (array_is_list($value) ? $value : []);
        foreach (is_array($inside) ? $inside : [] as $one) {
            array_push($lines, ...self::flat($one));
        }

        return array_slice($lines, 0, 200);
    }
}
