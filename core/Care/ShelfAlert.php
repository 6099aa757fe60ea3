<?php

declare(strict_types=1);

namespace Tempesal\Core\Care;

use Tempesal\Core\Message\Message;

/**
 * What a jar asks of a cook who stands before the shelf. The lower the rank, the sooner.
 */
final readonly class ShelfAlert
{
    /** Food less than this above its brine still lies wet. */
    private const STICKS_OUT_MM = 4.0;

    /** What is left is nearly nothing. */
    private const FEW_SERVINGS = 2;

    private function __construct(public int $rank, public string $code, public Message $text) {}

    /**
     * @param  ShelfSnapshot  $jar  as it stands there
     * @param  list<DueChore>  $dues  what it asks for by now
     */
    public static function of(ShelfSnapshot $jar, array $dues): ?self
    {
        return match (true) {
            $jar->isNothing => new self(50, 'empty', Message::of('shelf_alert.empty')),
            $dues !== [] && $dues[0]->chore->task === Task::Discard => self::due(5, $dues[0], $jar->day),
            $jar->aboveBrineMm > self::STICKS_OUT_MM => new self(
                10,
                'sticks_out',
                Message::of('shelf_alert.sticks_out'),
            ),
            $jar->longSince !== null && $jar->longSince >= 0 => new self(20, 'long', Message::of('shelf_alert.long')),
            $dues !== [] => self::due(
                match ($dues[0]->chore->task) {
                    Task::ToFridge, Task::Blend => 40,
                    Task::Taste, Task::MeasurePh, Task::UseUp => 45,
                    default => 30,
                },
                $dues[0],
                $jar->day,
            ),
            $jar->servings <= self::FEW_SERVINGS => new self(
                48,
                'low',
                Message::of('shelf_alert.low', servings: $jar->servings),
            ),
            default => null,
        };
    }

    private static function due(int $rank, DueChore $due, int $today): self
    {
        $late = $due->lateOn($today);

        return new self(
            $rank,
            $due->chore->task->value,
            Message::of('shelf_alert.due', task: $due->text(), late: $late),
        );
    }
}
