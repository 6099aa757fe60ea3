<?php

declare(strict_types=1);

namespace Tests\Support;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;

/**
 * The contract between the application and its screens, to hold real answers against.
 */
final class Contract
{
    private const ID = 'https://tempesal.example/contract.json';

    /** Answers that any request may get. */
    private const ANYWHERE = [
        '403' => ['$ref' => '#/components/responses/Refused'],
        '419' => ['$ref' => '#/components/responses/Refused'],
        '429' => ['$ref' => '#/components/responses/Refused'],
        '503' => ['$ref' => '#/components/responses/Refused'],
    ];

    private static ?self $problem = null;

    /** @param  array<string, mixed>  $document */
    private function __construct(public readonly array $document, private readonly Validator $validator) {}

    public static function read(): self
    {
        if (self::$problem === null) {
            $document = require dirname(__DIR__, 2) . '/contract/join.php';
            $validator = new Validator();
            $validator->resolver()?->registerRaw((string) json_encode($document), self::ID);
            self::$problem = new self($document, $validator);
        }

        return self::$problem;
    }

    /** @return list<string> "GET /session" and so on */
    public function operations(): array
    {
        $all = [];
        foreach ($this->document['paths'] as $path => $methods) {
            foreach (array_keys($methods) as $method) {
                $all[] = strtoupper($method) . ' ' . $path;
            }
        }
        sort($all);

        return $all;
    }

    /** Fails unless the contract knows this answer and its body is as described. */
    public function assertAnswer(string $method, string $uri, int $status, string $body): void
    {
        $path = $this->pathOf($uri);
        if ($path === null) {
            Assert::assertSame(404, $status, "The contract has no {$uri}.");

            return;
        }
        $operation = $this->document['paths'][$path][strtolower($method)] ?? null;
        if ($operation === null && in_array($status, [404, 405], true)) {
            return;
        }
        Assert::assertNotNull($operation, "The contract has no {$method} {$path}.");
        $responses = $operation['responses'] + self::ANYWHERE;
        Assert::assertArrayHasKey(
            (string) $status,
            $responses,
            "The contract has no answer {$status} for {$method} {$path}: {$body}",
        );

        $response = $responses[(string) $status];
        $pointer = isset($response['$ref'])
            ? substr($response['$ref'], 1) . '/content/application~1json/schema'
            : '/paths/' .
                str_replace('/', '~1', $path) .
                '/' .
                strtolower($method) .
                "/responses/{$status}/content/application~1json/schema";
        $result = $this->validator->validate(
            json_decode($body),
            self::ID . '#' . str_replace(['{', '}'], ['%7B', '%7D'], $pointer),
        );
        $error = $result->error();
        Assert::assertTrue(
            $error === null,
            $error === null
                ? ''
                : "{$method} {$path} {$status}: " . json_encode((new ErrorFormatter())->format($error)),
        );
    }

    private function pathOf(string $uri): ?string
    {
        $asked = (string) preg_replace('#^/?api#', '', strtok($uri, '?'));
        foreach (array_keys($this->document['paths']) as $path) {
            if (
                preg_match(
                    '#^' . preg_replace('#\\\\\{[a-zA-Z]+\\\\\}#', '[^/]+', preg_quote($path, '#')) . '$#',
                    $asked,
                ) === 1 &&
                (!str_contains($path, '{') || !isset($this->document['paths'][$asked]))
            ) {
                return $path;
            }
        }

        return null;
    }
}
