<?php

declare(strict_types=1);

namespace App\Http\Requests;

/**
 * A change of something that is there: it names the version that the cook had open and sends only what changed. Lists
 * come as what was added and what was removed. What was not sent stays as it is.
 */
trait PartialUpdate
{
    /** @var list<string>|null fields that were sent; null for something new, of which all is sent */
    private ?array $sent = null;

    /** @return array<string, mixed> every field as it is now */
    abstract protected function before(): array;

    protected function prepareForValidation(): void
    {
        if (!$this->isMethod('PUT')) {
            return;
        }
        $this->sent = array_map(strval(...), array_keys($this->all()));
        $before = $this->before();
        $lists = [];
        foreach ($before as $field => $now) {
            $change = $this->input($field);
            if (
                is_array($now) &&
                array_is_list($now) &&
                is_array($change) &&
                (isset($change['added']) || isset($change['removed']))
            ) {
                $added = is_array($change['added'] ?? []) ? $change['added'] ?? [] : [];
                $removed = is_array($change['removed'] ?? []) ? $change['removed'] ?? [] : [];
                $lists[$field] = array_values(
                    array_unique(
                        [
                            ...array_filter($now, static fn(mixed $one): bool => !in_array($one, $removed, true)),
                            ...$added,
                        ],
                        SORT_REGULAR,
                    ),
                );
            }
        }
        $this->merge([...$before, ...$this->all(), ...$lists]);
    }

    /** @return array<string, list<string>> */
    private function versionRules(): array
    {
        return ['version' => [$this->isMethod('PUT') ? 'required' : 'nullable', 'integer', 'min:0']];
    }

    /** @return array<string, string> */
    private function versionMessages(): array
    {
        return ['version.*' => 'errors.request_key'];
    }

    /** The version that the cook had open; null for something new. */
    public function version(): ?int
    {
        return $this->isMethod('PUT') ? $this->integer('version') : null;
    }

    /** Whether any of these was sent; of something new all were. */
    private function isSent(string ...$fields): bool
    {
        return $this->sent === null || array_intersect($fields, $this->sent) !== [];
    }
}
