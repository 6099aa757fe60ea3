<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;

/**
 * Every question by its word.
 */
final class InverseQuestions
{
    /** @var array<string, class-string<InverseQuestion>> */
    private const ALL = [
        'salt_for_strength' => SaltForStrength::class,
        'water_for_strength' => WaterForStrength::class,
        'brine_under_strength' => BrineUnderStrength::class,
        'portion' => PortionForSodium::class,
        'rinse_time' => RinseForSodium::class,
        'soak_time' => SoakForSodium::class,
    ];

    /** @throws InvalidField when the question is unknown or one of its fields is wrong */
    public static function read(Fields $fields): InverseQuestion
    {
        $word = $fields->text('question');
        $class =
            self::ALL[$word] ??
            throw $fields->invalid(
                'question',
                Message::of('errors.one_of', choices: Listed::any(array_keys(self::ALL))),
            );

        return $class::read($fields);
    }
}
