<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;

/**
 * What comes of having looked into a jar: the strictest of all rules that speak, with the others that say the same.
 */
final readonly class Inspection
{
    /**
     * @param  list<CheckRule>  $rules  those that give the verdict, or for a jar in which nothing is wrong those that
     *     explain what looked odd
     * @param  list<string>  $open  codes of questions without an answer
     */
    private function __construct(public Verdict $verdict, public array $rules, public array $open) {}

    /**
     * Anything that speaks for throwing it out ends the looking; otherwise a question left open means to look again.
     *
     * @param  list<Finding>  $found
     */
    public static function of(CheckedJar $jar, array $found): self
    {
        $speaking = array_values(
            array_filter(CheckRules::all(), static fn(CheckRule $rule): bool => $rule->appliesTo($jar, $found)),
        );
        $verdict = Verdict::Fine;
        foreach ($speaking as $rule) {
            $verdict = $rule->verdict->strictness() > $verdict->strictness() ? $rule->verdict : $verdict;
        }
        $open = $verdict === Verdict::DoNotEat ? [] : self::unanswered($jar, $found);
        if ($open !== [] && $verdict->strictness() < Verdict::Wait->strictness()) {
            $verdict = Verdict::Wait;
        }

        return new self(
            $verdict,
            array_values(array_filter($speaking, static fn(CheckRule $rule): bool => $rule->verdict === $verdict)),
            $open,
        );
    }

    /** The verdict's reasons, never empty. */
    public function because(): Message
    {
        return Message::of(
            'check.because',
            reasons: Listed::sentences(
                array_map(static fn(string $code): Message => new Message($code), $this->reasons()),
            ),
        );
    }

    /** @return list<string> codes of the catalogue */
    public function reasons(): array
    {
        return [
            ...array_map(static fn(CheckRule $rule): string => $rule->because, $this->rules),
            ...$this->open === [] ? [] : ['check_because.incomplete'],
            ...$this->verdict === Verdict::Fine ? ['check_because.fine'] : [],
        ];
    }

    /** @return list<Message> what to do next, each once */
    public function toDo(): array
    {
        return self::said(array_map(static fn(CheckRule $rule): ?string => $rule->do, $this->rules));
    }

    /** @return list<Message> what not to do, each once; the last one always stands */
    public function cautions(): array
    {
        return self::said([
            ...array_map(static fn(CheckRule $rule): ?string => $rule->caution, $this->rules),
            'check_caution.limits',
        ]);
    }

    /**
     * @param  list<string|null>  $codes
     * @return list<Message> each once
     */
    private static function said(array $codes): array
    {
        return array_map(
            static fn(string $code): Message => new Message($code),
            array_values(array_unique(array_filter($codes))),
        );
    }

    /**
     * @param  list<Finding>  $found
     * @return list<string>
     */
    private static function unanswered(CheckedJar $jar, array $found): array
    {
        $open = [];
        foreach ([...CheckQuestion::of($jar), ...CheckQuestion::after($jar, $found)] as $question) {
            if (
                array_filter($question->signs, static fn(Finding $sign): bool => in_array($sign, $found, true)) === []
            ) {
                $open[] = $question->code;
            }
        }

        return $open;
    }
}
