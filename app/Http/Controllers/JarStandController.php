<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CloseJar;
use App\Actions\KeepSpareBrine;
use App\Actions\MoveJar;
use App\Actions\ReleaseBatch;
use App\Actions\SetAim;
use App\Http\Responses\BatchPage;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Tempesal\Core\Care\ReleasePurpose;
use Tempesal\Core\Measure\Grams;
use Tempesal\Core\Method\Aim;
use Tempesal\Core\Method\Cover;
use Tempesal\Core\Method\Place;

/**
 * Where a jar stands and how it is closed, how far it is to go, and what may be done with it then.
 */
final readonly class JarStandController
{
    public function __construct(private BatchPage $page) {}

    public function move(string $batch, Request $request, MoveJar $stand): JsonResponse
    {
        $asked = $request->validate(
            [
                'place' => ['required', 'string', Rule::enum(Place::class)],
                'requestKey' => ['required', 'string', 'ulid'],
            ],
            ['place.*' => 'errors.place', 'requestKey.*' => 'errors.request_key'],
        );
        $stand($batch, Place::from($asked['place']), $asked['requestKey']);

        return $this->page->answer($batch);
    }

    public function aim(string $batch, Request $request, SetAim $aimAt): JsonResponse
    {
        $asked = $request->validate(
            ['aim' => ['present', 'nullable', 'string', Rule::enum(Aim::class)]],
            ['aim.*' => 'errors.aim'],
        );
        $aimAt($batch, $asked['aim'] === null ? null : Aim::from($asked['aim']));

        return $this->page->answer($batch);
    }

    /** Another jar, cover or hold-down: what is not named stays as it is. */
    public function close(string $batch, Request $request, CloseJar $close): JsonResponse
    {
        $asked = $request->validate(
            [
                'jarId' => ['sometimes', 'nullable', 'string', 'max:26'],
                'hasOneMore' => ['sometimes', 'boolean'],
                'headspaceMm' => ['sometimes', 'numeric', 'min:0', 'max:500'],
                'cover' => ['sometimes', 'nullable', 'string', Rule::enum(Cover::class)],
                'holdDownId' => ['sometimes', 'nullable', 'string', 'max:26'],
                'hasSaucer' => ['sometimes', 'boolean'],
            ],
            ['headspaceMm.*' => 'errors.headspace', '*' => 'errors.choice'],
        );
        $close($batch, $asked);

        return $this->page->answer($batch);
    }

    /** Some of its brine, kept by itself for other jars. */
    public function keepBrine(string $batch, Request $request, KeepSpareBrine $keep): JsonResponse
    {
        $asked = $request->validate(
            ['grams' => ['required', 'numeric', 'gt:0', 'max:50000'], 'requestKey' => ['required', 'string', 'ulid']],
            ['grams.*' => 'errors.release_grams', 'requestKey.*' => 'errors.request_key'],
        );
        $kept = $keep->fromJar($batch, Grams::of((float) $asked['grams']), $asked['requestKey']);

        return $this->page->answer($kept->id, 201);
    }

    public function pass(string $batch, Request $request, ReleaseBatch $pass): JsonResponse
    {
        $asked = $request->validate(
            [
                'purpose' => [
                    'required',
                    'string',
                    'in:' . ReleasePurpose::Bottle->value . ',' . ReleasePurpose::GiveAway->value,
                ],
                'grams' => ['nullable', 'numeric', 'gt:0', 'max:50000'],
                'requestKey' => ['required', 'string', 'ulid'],
            ],
            [
                'purpose.*' => 'errors.release_purpose',
                'grams.*' => 'errors.release_grams',
                'requestKey.*' => 'errors.request_key',
            ],
        );
        $pass(
            $batch,
            ReleasePurpose::from($asked['purpose']),
            isset($asked['grams']) ? (float) $asked['grams'] : null,
            $asked['requestKey'],
        );

        return $this->page->answer($batch);
    }
}
