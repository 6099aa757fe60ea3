<?php

declare(strict_types=1);

namespace Tempesal\Core\Check;

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
    public function __construct(public string $code, public Sense $sense, public string $text, public string $how, public array $signs, public bool $isMany)
    {
    }

    /**
     * What is asked of a jar, and nothing that does not matter for it.
     *
     * @return list<self>
     */
    public static function of(CheckedJar $jar): array
    {
        return array_values(array_filter([
            new self('top', Sense::Eye, 'What lies on top?', 'In good light, from the side and from above, before anything is moved.', [
                Finding::TopClean, Finding::Bubbles, Finding::FilmFlat, Finding::FuzzWhite, Finding::FuzzColoured, Finding::SpotsPink, Finding::SpotsBlack, Finding::Insects, Finding::TopUnsure,
            ], true),
            $jar->hasPieces() ? new self('under', Sense::Eye, 'Is everything under the brine?', 'Look along the rim and at the weight.', [
                Finding::AllUnder, Finding::AboveWet, Finding::AboveDry,
            ], false) : null,
            $jar->hasPieces() ? new self('brine', Sense::Eye, 'How is the brine?', 'Hold the jar against the light; tilt it for threads.', [
                Finding::BrineClear, Finding::BrineCloudy, Finding::SedimentWhite, Finding::BrineTinted, Finding::BrineRopy, Finding::BrineOddColour,
            ], true) : null,
            new self('colour', Sense::Eye, 'What colour is the food?', 'Compare with the day on which you made it.', [
                Finding::ColourAsExpected, ...($jar->hasPieces() ? [Finding::ColourOlive, Finding::GarlicBlue] : []), Finding::BrownTop, Finding::ColourOdd,
            ], true),
            $jar->hasTightLid() ? new self('lid', Sense::Eye, 'How is the lid?', 'Look at it before you open it, and open it over the sink.', [
                Finding::LidFlat, Finding::LidHisses, Finding::LidBulging, Finding::RanOver,
                ...($jar->cover === Cover::Airlock ? [Finding::AirlockDry] : []),
            ], true) : null,
            $jar->isFermenting() && $jar->isWarm ? new self('bubbles', Sense::Eye, 'Are there bubbles?', 'Tap the jar and look along the glass.', [
                Finding::Lively, Finding::FewBubbles, Finding::NoBubbles,
            ], false) : null,
            $jar->isFermenting() ? null : new self('fizz', Sense::Eye, 'Does it fizz?', 'Look at the glass right after opening.', [Finding::Still, Finding::Fizz], false),
            new self('smell', Sense::Nose, 'How does it smell?', 'Fan the air towards you. If it is vile at once, stop here.', [
                Finding::SmellSour, Finding::SmellFunky, Finding::SmellRaw, Finding::SmellYeasty, Finding::SmellSolvent, Finding::SmellRotten, Finding::SmellUnsure,
            ], false),
            new self('touch', Sense::Touch, $jar->hasPieces() ? 'How does a piece feel?' : 'How is it when you stir?', 'With a clean fork, only when nothing above spoke against it. Do not taste yet.',
                $jar->hasPieces() ? [Finding::Crisp, Finding::Soft, Finding::Mushy, Finding::Slimy] : [Finding::Smooth, Finding::Broken, Finding::Slimy], false),
        ]));
    }
}
