<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Message\Message;
use Tempesal\Core\Salt\SaltBasis;

/**
 * A strength that is wanted of the whole batch once salt has evened out.
 */
final readonly class TargetStrength
{
    private function __construct(public float $share, public SaltBasis $basis) {}

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        $share = $fields->share('share');
        if ($share <= 0.0 || $share > 0.5) {
            throw $fields->invalid('share', Message::of('errors.strength_share'));
        }
        $basis = $fields->choice('basis', SaltBasis::class, SaltBasis::BrineStrength);
        if ($basis === SaltBasis::OfVegetable) {
            throw $fields->invalid('basis', Message::of('errors.strength_basis'));
        }

        return new self($share, $basis);
    }

    public function text(?float $share = null): Message
    {
        return $this->basis->strength(round(($share ?? $this->share) * 100.0, 2));
    }
}
