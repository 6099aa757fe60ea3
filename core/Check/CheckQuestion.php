<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Cover;

/**
 * One thing to look at, smell or feel, and what one may find.
 */
final readonly class CheckQuestion
{
    /**
     * @param  list<Finding>  $signs  in the order in which they are shown
     * @param  bool  $isMany  whether several can be true at once
     */
    public function __construct(
        public string $code,
        public Sense $sense,
        public Message $text,
        public Message $how,
        public array $signs,
        public bool $isMany,
    ) {}

    /**
     * What is asked of a jar, and nothing that does not matter for it.
     *
     * @return list<self>
     */
    public static function of(CheckedJar $jar): array
    {
        return array_values(
            array_filter([
                new self(
                    'top',
                    Sense::Eye,
                    Message::of('check_question.top'),
                    Message::of('check_question_how.top'),
                    [
                        Finding::TopClean,
                        Finding::Bubbles,
                        Finding::FilmFlat,
                        Finding::FuzzWhite,
                        Finding::FuzzColoured,
                        Finding::SpotsPink,
                        Finding::SpotsBlack,
                        Finding::Insects,
                        Finding::TopUnsure,
                    ],
                    true,
                ),
                $jar->hasPieces()
                    ? new self(
                        'under',
                        Sense::Eye,
                        Message::of('check_question.under'),
                        Message::of('check_question_how.under'),
                        [Finding::AllUnder, Finding::AboveWet, Finding::AboveDry],
                        false,
                    )
                    : null,
                $jar->hasPieces()
                    ? new self(
                        'brine',
                        Sense::Eye,
                        Message::of('check_question.brine'),
                        Message::of('check_question_how.brine'),
                        [
                            Finding::BrineClear,
                            Finding::BrineCloudy,
                            Finding::SedimentWhite,
                            Finding::BrineTinted,
                            Finding::BrineRopy,
                            Finding::BrineOddColour,
                        ],
                        true,
                    )
                    : null,
                new self(
                    'colour',
                    Sense::Eye,
                    Message::of('check_question.colour'),
                    Message::of('check_question_how.colour'),
                    [
                        Finding::ColourAsExpected,
                        ...$jar->hasPieces() ? [Finding::ColourOlive, Finding::GarlicBlue] : [],
                        Finding::BrownTop,
                        Finding::ColourOdd,
                    ],
                    true,
                ),
                $jar->hasTightLid()
                    ? new self(
                        'lid',
                        Sense::Eye,
                        Message::of('check_question.lid'),
                        Message::of('check_question_how.lid'),
                        [
                            Finding::LidFlat,
                            Finding::LidHisses,
                            Finding::LidBulging,
                            Finding::RanOver,
                            ...$jar->cover === Cover::Airlock ? [Finding::AirlockDry] : [],
                        ],
                        true,
                    )
                    : null,
                $jar->isFermenting() && $jar->isWarm && !$jar->isLiveSauce()
                    ? new self(
                        'bubbles',
                        Sense::Eye,
                        Message::of('check_question.bubbles'),
                        Message::of('check_question_how.bubbles'),
                        [Finding::Lively, Finding::FewBubbles, Finding::NoBubbles],
                        false,
                    )
                    : null,
                $jar->isFermenting() && !$jar->isLiveSauce()
                    ? null
                    : new self(
                        'fizz',
                        Sense::Eye,
                        Message::of('check_question.fizz'),
                        Message::of('check_question_how.fizz'),
                        [Finding::Still, Finding::Fizz],
                        false,
                    ),
                new self(
                    'smell',
                    Sense::Nose,
                    Message::of('check_question.smell'),
                    Message::of('check_question_how.smell'),
                    [
                        Finding::SmellSour,
                        Finding::SmellFunky,
                        Finding::SmellRaw,
                        ...$jar->explains(Looks::Sulphurous) ? [Finding::SmellSulphur] : [],
                        Finding::SmellYeasty,
                        Finding::SmellSolvent,
                        Finding::SmellRotten,
                        Finding::SmellUnsure,
                    ],
                    false,
                ),
                new self(
                    'touch',
                    Sense::Touch,
                    $jar->hasPieces()
                        ? Message::of('check_question.touch_pieces')
                        : Message::of('check_question.touch_sauce'),
                    Message::of('check_question_how.touch'),
                    $jar->hasPieces()
                        ? [Finding::Crisp, Finding::Soft, Finding::Mushy, Finding::Slimy]
                        : [Finding::Smooth, Finding::Broken, Finding::Slimy],
                    false,
                ),
            ]),
        );
    }

    /**
     * The one question that tells what the food does by itself from what grows on it. It is asked only of jars whose
     * food can do it; without an answer the strict rule stands.
     *
     * @param  list<Finding>  $found
     * @return list<self>
     */
    public static function after(CheckedJar $jar, array $found): array
    {
        $has = static fn(Finding ...$signs): bool => array_filter(
            $signs,
            static fn(Finding $sign): bool => in_array($sign, $found, true),
        ) !== [];
        $ask = static fn(string $code, Sense $sense, Finding ...$signs): self => new self(
            $code,
            $sense,
            Message::of("check_question.{$code}"),
            Message::of("check_question_how.{$code}"),
            array_values($signs),
            false,
        );

        return array_values(
            array_filter([
                $has(Finding::SpotsPink, Finding::ColourOdd) && $jar->explains(Looks::Reddens)
                    ? $ask('pink', Sense::Eye, Finding::PinkOfFood, Finding::PinkLying)
                    : null,
                $has(Finding::SpotsBlack) && $jar->explains(Looks::Specked)
                    ? $ask('specks', Sense::Eye, Finding::SpecksOfFood, Finding::SpecksGrow)
                    : null,
                $has(Finding::Slimy, Finding::BrineRopy) && $jar->explains(Looks::Slips)
                    ? $ask('slip', Sense::Touch, Finding::SlipOfFood, Finding::SlipNew)
                    : null,
                $has(Finding::Broken) && $jar->day === 0
                    ? $ask('broke', Sense::Eye, Finding::BrokeInMaking, Finding::BrokeLater)
                    : null,
            ]),
        );
    }
}
