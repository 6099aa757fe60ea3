<?php

declare(strict_types=1);

use Symfony\Component\Yaml\Yaml;

require_once dirname(__DIR__) . '/vendor/autoload.php';

/**
 * The contract's files by subject as one OpenAPI document; tempesal.yaml is its head. Refuses what stands in two of them.
 *
 * @return array<string, mixed>
 */
$join = static function (): array {
    $whole = Yaml::parseFile(__DIR__ . '/tempesal.yaml');
    $whole += ['paths' => [], 'components' => ['parameters' => [], 'responses' => [], 'schemas' => []]];
    $add = static function (array $to, array $more, string $file): array {
        $twice = array_keys(array_intersect_key($to, $more));

        return $twice === []
            ? $to + $more
            : throw new LogicException("{$file} has once more: " . implode(', ', $twice));
    };
    foreach (array_diff(glob(__DIR__ . '/*.yaml') ?: [], [__DIR__ . '/tempesal.yaml']) as $file) {
        $part = Yaml::parseFile($file);
        $whole['paths'] = $add($whole['paths'], $part['paths'] ?? [], $file);
        foreach ($part['components'] ?? [] as $kind => $some) {
            $whole['components'][$kind] = $add($whole['components'][$kind], $some, $file);
        }
    }

    return $whole;
};

if (realpath($_SERVER['SCRIPT_FILENAME'] ?? '') === __FILE__) {
    echo Yaml::dump($join(), 12, 2, Yaml::DUMP_EMPTY_ARRAY_AS_SEQUENCE);
}

return $join();
