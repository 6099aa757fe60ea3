<?php

declare(strict_types=1);

namespace App\Week;

use App\Models\Batch;
use App\Models\Person;
use App\Models\RotationLine;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Restock\FreeJar;
use Tempesal\Core\Restock\WayIn;
use Tempesal\Core\Restock\WayInChoice;

/**
 * What else could be made where the rotation brings less than everyone's goal of live servings.
 */
final readonly class MoreToMake
{
    private const DAYS_A_WEEK = 7;

    /**
     * @param  Message|null  $goal  how far the rotation falls short; null where it does not
     * @param  list<WayInChoice>  $choices
     * @param  LiveAhead|null  $live  where there is no rotation
     */
    private function __construct(
        public ?Message $goal,
        public array $choices,
        public ?Makeable $makeable,
        public ?LiveAhead $live,
    ) {}

    public static function of(StockAhead $ahead): self
    {
        $live = LiveAhead::of($ahead);
        $goal = $live === null ? self::goal($ahead) : Message::of('ahead.goal_none');
        if ($goal === null) {
            return new self(null, [], null, null);
        }
        $makeable = Makeable::of($ahead->household);
        $groups = $foods = [];
        foreach ($ahead->answers as $answer) {
            $groups[] = $answer->formula->group;
            $foods[] = $answer->formula->mainFood();
        }
        foreach (Batch::food()->setEagerLoads([])->get() as $batch) {
            $own = $makeable->formulas[str_replace('formula:', '', $batch->likeness)] ?? null;
            $groups[] = $own?->group;
            $foods[] = $own?->mainFood();
        }
        foreach ($ahead->planned as $planned) {
            $groups[] = $makeable->formulas[$planned->formula_id]->group ?? null;
        }

        return new self(
            $goal,
            WayIn::more(
                $makeable->candidates,
                self::free($ahead),
                $makeable->roomMg,
                array_values(array_filter($groups)),
                array_values(array_filter($foods)),
            ),
            $makeable,
            $live,
        );
    }

    /** Of whoever gets least of what they want. */
    private static function goal(StockAhead $ahead): ?Message
    {
        $worst = null;
        foreach ($ahead->lines === [] ? [] : Person::atTable() as $person) {
            $wants = $person->live_goal * self::DAYS_A_WEEK;
            $has = array_sum(
                array_map(
                    static fn(RotationLine $line): float => self::brings($ahead->answers[$line->id] ?? null, $person)
                        ? $line->times_a_week
                        : 0.0,
                    $ahead->lines,
                ),
            );
            if ($has < $wants && ($worst === null || $wants - $has > $worst[0])) {
                $worst = [
                    $wants - $has,
                    Message::of('ahead.goal', eater: $person->name, has: (int) floor($has), wants: $wants),
                ];
            }
        }

        return $worst[1] ?? null;
    }

    private static function brings(?FormulaAnswer $answer, Person $person): bool
    {
        return $answer === null || ($answer->formula->isLive && $person->eats($answer));
    }

    /** @return list<FreeJar> that nothing is to stand in, of what is known */
    private static function free(StockAhead $ahead): array
    {
        $taken = array_flip(array_filter(array_column($ahead->forecast->lots, 'vessel')));

        return array_values(
            array_filter($ahead->forecast->shelf->vessels, static fn(FreeJar $jar): bool => !isset($taken[$jar->id])),
        );
    }
}
