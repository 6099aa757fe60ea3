<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\PracticeAnswer;
use Tempesal\Core\Check\CheckedJar;
use Tempesal\Core\Check\CheckQuestion;
use Tempesal\Core\Check\CheckRule;
use Tempesal\Core\Check\Finding;
use Tempesal\Core\Check\Inspection;
use Tempesal\Core\Check\PracticeJar;
use Tempesal\Core\Message\Message;

/**
 * Looking into a jar: what is asked, and what comes of it.
 */
final class CheckView
{
    /** Answers over which the score is kept. */
    private const LATELY = 20;

    /** @return list<array<string, mixed>> */
    public static function questions(CheckedJar $jar): array
    {
        return self::asked(CheckQuestion::of($jar));
    }

    /**
     * @param  list<CheckQuestion>  $questions
     * @return list<array<string, mixed>>
     */
    private static function asked(array $questions): array
    {
        return array_map(
            static fn(CheckQuestion $question): array => [
                'code' => $question->code,
                'sense' => $question->sense->value,
                'text' => $question->text,
                'how' => $question->how,
                'isMany' => $question->isMany,
                'signs' => array_map(
                    static fn(Finding $sign): array => ['id' => $sign->value, 'label' => $sign->label()],
                    $question->signs,
                ),
            ],
            $questions,
        );
    }

    /**
     * @param  list<Finding>  $found
     * @return array<string, mixed>
     */
    public static function inspection(CheckedJar $jar, array $found): array
    {
        $inspection = Inspection::of($jar, $found);

        return [
            'asks' => self::asked(CheckQuestion::after($jar, $found)),
            'verdict' => $inspection->verdict->value,
            'label' => $inspection->verdict->label(),
            'because' => $inspection->because(),
            'toDo' => $inspection->toDo(),
            'cautions' => $inspection->cautions(),
            'open' => $inspection->open,
            'rules' => array_map(static fn(CheckRule $rule): string => $rule->id, $inspection->rules),
        ];
    }

    /**
     * A drawn jar to judge. With an answer to it, also what would have been right.
     *
     * @return array<string, mixed>
     */
    public static function practice(PracticeJar $example, ?string $answer = null): array
    {
        $rule = $example->rule();
        $lately = PracticeAnswer::query()->latest('id')->limit(self::LATELY)->get();

        return [
            'number' => $example->number,
            'food' => $example->food,
            'colour' => $example->colour,
            'shape' => $example->shape,
            'amount' => $example->amount,
            'signs' => array_map(static fn(Finding $sign): string => $sign->value, $example->signs()),
            'answers' => array_map(
                static fn(string $id): array => ['id' => $id, 'label' => Message::of("practice_answer.{$id}")],
                PracticeJar::ANSWERS,
            ),
            'said' =>
                $answer === null
                    ? null
                    : [
                        'answer' => $answer,
                        'isRight' => $example->isRight($answer),
                        'right' => $example->right,
                        'sign' => $example->sign->label(),
                        'verdict' => $rule->verdict->value,
                        'because' => new Message($rule->because),
                        'caution' => $rule->caution === null ? null : new Message($rule->caution),
                    ],
            'score' => ['right' => $lately->where('is_right', true)->count(), 'of' => $lately->count()],
        ];
    }
}
