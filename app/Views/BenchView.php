<?php

declare(strict_types=1);

namespace App\Views;

use App\Bench\BenchOrder;
use App\Models\Person;
use App\Pictures\JarPicture;
use Illuminate\Database\Eloquent\Collection;
use Tempesal\Core\Formula\Advice;
use Tempesal\Core\Formula\BenchAdvice;
use Tempesal\Core\Formula\Making;
use Tempesal\Core\Ledger\Phase;
use Tempesal\Core\Salt\Basis;

/**
 * The bench's answer.
 */
final class BenchView
{
    /**
     * @param  Collection<int, Person>  $people
     * @return array<string, mixed>
     */
    public static function of(BenchOrder $order, Making $making, Collection $people): array
    {
        $serving = $making->serving();
        $state = $making->state;
        $spoons = $making->spoons();

        return [
            'vegetableGrams' => $making->vegetable->value,
            'saltGrams' => $making->dose->grams()->value,
            'saltSpoons' => $spoons->text,
            'saltIsSpooned' => $making->dose->isSpooned(),
            'waterGrams' => $making->water->value,
            'brineMl' => $making->brine->value,
            'spareBrineMl' => $making->spareBrine->value,
            'strengths' => self::strengths($making),
            'piecesPer100g' => $state->phase($making->sheet->method->servedPhase())->sodiumPer100g(),
            'brinePer100g' => $state->isOnePhase() ? null : $state->phase(Phase::Brine)->sodiumPer100g(),
            'serving' => [
                'grams' => $making->servingWeight()->value,
                'sodium' => Shown::sodium($serving->band),
                'contributions' => Shown::contributions($serving),
                'shares' => $people->map(static fn (Person $person): array => [
                    'personId' => $person->id,
                    'name' => $person->name,
                    'targetMg' => $person->target_sodium_mg,
                    'percentOfTarget' => $serving->band->typical / max(1, $person->target_sodium_mg) * 100.0,
                ])->values()->all(),
            ],
            'servings' => $making->servings(),
            'jar' => JarPicture::ofMaking($making, $order->vegetable->colour, $order->jar->cover ?? 'screw lid'),
            'advice' => array_map(static fn (Advice $advice): array => $advice->toArray(), BenchAdvice::on($making)),
        ];
    }

    /** @return list<array{basis: string, label: string, percent: float|null}> */
    private static function strengths(Making $making): array
    {
        return array_map(static function (Basis $basis) use ($making): array {
            $share = $making->contents->shareOrNull($basis);

            return ['basis' => $basis->value, 'label' => $basis->label(), 'percent' => $share === null ? null : $share * 100.0];
        }, Basis::cases());
    }
}
