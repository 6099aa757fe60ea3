<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

use Tempesal\Core\Method\Cover;

/**
 * One thing to look at, smell or feel, and what one may find.
 */
final readonly class Question
{
    /**
     * @param  list<Sign>  $signs  in the order in which they are shown
     * @param  bool  $isMany  whether several can be true at once
     */
    public function __construct(public string $code, public Sense $sense, public string $text, public string $how, public array $signs, public bool $isMany)
    {
    }

    /**
     * What is asked of a jar, and nothing that does not matter for it.
     *
     * @return list<self>
     */
    public static function of(Situation $jar): array
    {
        return array_values(array_filter([
            new self('top', Sense::Eye, 'What lies on top?', 'In good light, from the side and from above, before anything is moved.', [
                Sign::TopClean, Sign::Bubbles, Sign::FilmFlat, Sign::FuzzWhite, Sign::FuzzColoured, Sign::SpotsPink, Sign::SpotsBlack, Sign::Insects, Sign::TopUnsure,
            ], true),
            $jar->hasPieces() ? new self('under', Sense::Eye, 'Is everything under the brine?', 'Look along the rim and at the weight.', [
                Sign::AllUnder, Sign::AboveWet, Sign::AboveDry,
            ], false) : null,
            $jar->hasPieces() ? new self('brine', Sense::Eye, 'How is the brine?', 'Hold the jar against the light; tilt it for threads.', [
                Sign::BrineClear, Sign::BrineCloudy, Sign::SedimentWhite, Sign::BrineTinted, Sign::BrineRopy, Sign::BrineOddColour,
            ], true) : null,
            new self('colour', Sense::Eye, 'What colour is the food?', 'Compare with the day on which you made it.', [
                Sign::ColourAsExpected, ...($jar->hasPieces() ? [Sign::ColourOlive, Sign::GarlicBlue] : []), Sign::BrownTop, Sign::ColourOdd,
            ], true),
            $jar->hasTightLid() ? new self('lid', Sense::Eye, 'How is the lid?', 'Look at it before you open it, and open it over the sink.', [
                Sign::LidFlat, Sign::LidHisses, Sign::LidBulging, Sign::RanOver,
                ...($jar->cover === Cover::Airlock ? [Sign::AirlockDry] : []),
            ], true) : null,
            $jar->isFermenting() && $jar->isWarm ? new self('bubbles', Sense::Eye, 'Are there bubbles?', 'Tap the jar and look along the glass.', [
                Sign::Lively, Sign::FewBubbles, Sign::NoBubbles,
            ], false) : null,
            $jar->isFermenting() ? null : new self('fizz', Sense::Eye, 'Does it fizz?', 'Look at the glass right after opening.', [Sign::Still, Sign::Fizz], false),
            new self('smell', Sense::Nose, 'How does it smell?', 'Fan the air towards you. If it is vile at once, stop here.', [
                Sign::SmellSour, Sign::SmellFunky, Sign::SmellRaw, Sign::SmellYeasty, Sign::SmellSolvent, Sign::SmellRotten, Sign::SmellUnsure,
            ], false),
            new self('touch', Sense::Touch, $jar->hasPieces() ? 'How does a piece feel?' : 'How is it when you stir?', 'With a clean fork, only when nothing above spoke against it. Do not taste yet.',
                $jar->hasPieces() ? [Sign::Crisp, Sign::Soft, Sign::Mushy, Sign::Slimy] : [Sign::Smooth, Sign::Broken, Sign::Slimy], false),
        ]));
    }
}
