<?php

declare(strict_types=1);

namespace Tempesal\Core\Inverse;

use Tempesal\Core\Document\Fields;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Salt\SaltBasis;

/**
 * A strength that is wanted of the whole batch once salt has evened out.
 */
final readonly class TargetStrength
{
    private function __construct(public float $share, public SaltBasis $basis)
    {
    }

    /** @throws InvalidField */
    public static function read(Fields $fields): self
    {
        $share = $fields->share('share');
        if ($share <= 0.0 || $share > 0.5) {
            throw $fields->invalid('share', 'a share of more than nothing and at most 0.5 is needed here.');
        }
        $basis = $fields->choice('basis', SaltBasis::class, SaltBasis::BrineStrength);
        if ($basis === SaltBasis::OfVegetable) {
            throw $fields->invalid('basis', 'a started batch is judged by its water or by everything in it, not by the vegetable.');
        }

        return new self($share, $basis);
    }

    public function text(?float $share = null): string
    {
        return number_format(($share ?? $this->share) * 100.0, 2).' % '.$this->basis->label();
    }
}
