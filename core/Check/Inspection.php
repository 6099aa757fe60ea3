<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

/**
 * What comes of having looked into a jar: the strictest of all rules that speak, with the others that say the same.
 */
final readonly class Inspection
{
    /**
     * @param  list<CheckRule>  $rules  those that give the verdict, or for a jar in which nothing is wrong those that explain what looked odd
     * @param  list<string>  $open  codes of questions without an answer
     */
    private function __construct(public Verdict $verdict, public array $rules, public array $open)
    {
    }

    /**
     * Anything that speaks for throwing it out ends the looking; otherwise a question left open means to look again.
     *
     * @param  list<Finding>  $found
     */
    public static function of(CheckedJar $jar, array $found): self
    {
        $speaking = array_values(array_filter(CheckRules::all(), static fn (CheckRule $rule): bool => $rule->appliesTo($jar, $found)));
        $verdict = Verdict::Fine;
        foreach ($speaking as $rule) {
            $verdict = $rule->verdict->strictness() > $verdict->strictness() ? $rule->verdict : $verdict;
        }
        $open = $verdict === Verdict::DoNotEat ? [] : self::unanswered($jar, $found);
        if ($open !== [] && $verdict->strictness() < Verdict::Wait->strictness()) {
            $verdict = Verdict::Wait;
        }

        return new self($verdict, array_values(array_filter($speaking, static fn (CheckRule $rule): bool => $rule->verdict === $verdict)), $open);
    }

    /** The verdict's reasons, never empty. */
    public function because(): string
    {
        $reasons = array_map(static fn (CheckRule $rule): string => $rule->because, $this->rules);
        if ($this->open !== []) {
            $reasons[] = 'Not everything was looked at, so that nothing is concluded yet.';
        }
        if ($this->verdict === Verdict::Fine) {
            $reasons[] = 'Nothing that you found speaks against it.';
        }

        return implode(' ', $reasons);
    }

    /** @return list<string> what to do next, each once */
    public function toDo(): array
    {
        return array_values(array_unique(array_filter(array_map(static fn (CheckRule $rule): ?string => $rule->do, $this->rules))));
    }

    /** @return list<string> what not to do, each once; the last one always stands */
    public function cautions(): array
    {
        return [
            ...array_values(array_unique(array_filter(array_map(static fn (CheckRule $rule): ?string => $rule->caution, $this->rules)))),
            'A look finds what can be seen, smelled and felt, no more. In doubt, throw it out.',
        ];
    }

    /**
     * @param  list<Finding>  $found
     * @return list<string>
     */
    private static function unanswered(CheckedJar $jar, array $found): array
    {
        $open = [];
        foreach (CheckQuestion::of($jar) as $question) {
            if (array_filter($question->signs, static fn (Finding $sign): bool => in_array($sign, $found, true)) === []) {
                $open[] = $question->code;
            }
        }

        return $open;
    }
}
