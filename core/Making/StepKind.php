<?php

declare(strict_types=1);

namespace Tempesal\Core\Making;

use Tempesal\Core\Message\Message;
use Tempesal\Core\Method\Method;

/**
 * What is done at the counter, one thing at a time.
 */
enum StepKind: string
{
    /** Hands, jar, weights. */
    case Clean = 'clean';
    /** Bottles in boiling water. */
    case Sterilise = 'sterilise';
    case Dissolve = 'dissolve';
    case Salt = 'salt';
    /** The second half of the salt. */
    case SaltAgain = 'salt_again';
    case Massage = 'massage';
    case Soak = 'soak';
    case Drain = 'drain';
    case Rinse = 'rinse';
    case Freshen = 'freshen';
    case Squeeze = 'squeeze';
    case Dress = 'dress';
    case Pack = 'pack';
    case Pour = 'pour';
    /** Its chamber is filled, so that gas gets out and no air in. */
    case Airlock = 'airlock';
    case Mix = 'mix';
    /** Into the fridge, at the hour at which it has stood long enough. */
    case Chill = 'chill';
    case Strain = 'strain';
    case Blend = 'blend';
    /** Vinegar, water, honey, oil, salt: what a sauce is thinned and seasoned with. */
    case Season = 'season';
    case Heat = 'heat';
    case MeasurePh = 'measure_ph';
    case Bottle = 'bottle';

    /** "Drain it" */
    public function label(): Message
    {
        return Message::of("step.{$this->value}");
    }

    /** What the jar is once this is done, until the next step is. */
    public function stage(): Stage
    {
        return match ($this) {
            self::Clean, self::Sterilise, self::Dissolve => Stage::Begun,
            self::Salt, self::SaltAgain, self::Massage => Stage::Salting,
            self::Soak => Stage::Soaking,
            self::Drain, self::Rinse, self::Freshen, self::Squeeze => Stage::Draining,
            self::Dress => Stage::Dressing,
            self::Mix => Stage::Resting,
            self::Pack, self::Pour, self::Airlock => Stage::Working,
            self::Chill => Stage::Cold,
            self::Strain, self::Blend, self::Season, self::Heat, self::MeasurePh => Stage::Blended,
            self::Bottle => Stage::Bottled,
        };
    }

    /** The same by a method: what is no ferment stands for its hours where another works. */
    public function stageBy(Method $method): Stage
    {
        $stage = $this->stage();

        return $stage === Stage::Working && !$method->isFerment() ? Stage::Resting : $stage;
    }

    /**
     * Whether what is in the jar becomes food only by it. Where a jar has only to go cold, or to be closed, it is food
     * as soon as its hour has come.
     */
    public function isWaitedFor(): bool
    {
        return !in_array($this, [self::Chill, self::Airlock, self::MeasurePh, self::Bottle], true);
    }
}
