<?php

declare(strict_types=1);

namespace Tests;

use App\Actions\CreateHousehold;
use App\Actions\SavePerson;
use App\Household\CurrentHousehold;
use App\Language\Words;
use App\Models\Ingredient;
use App\Models\Jar;
use App\Models\Person;
use App\Models\Salt;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tempesal\Core\Intake\Meal;
use Tempesal\Core\Intake\BackgroundDiet;
use Tempesal\Core\Measure\Habit;
use Tempesal\Core\Measure\KitchenUnits;
use Tempesal\Core\Message\Message;
use Tests\Support\Contract;

/**
 * A kitchen to test in.
 */
abstract class TestCase extends LaravelTestCase
{
    /** The body of the last answer, as it went over the wire. */
    public string $sent = '';

    /** A cook with a stocked kitchen of their own; the second eater has a limit of 1500 mg. */
    public function cook(string $email = 'cook@example.org', string $timeZone = 'UTC'): User
    {
        return app(
            CreateHousehold::class,
        )('Test kitchen', $email, 'a long enough password', $timeZone, KitchenUnits::of(Habit::Us), [['name' => 'Ada', 'targetSodiumMg' => 2000, 'targetSource' => 'test', 'usualServingG' => 40.0, 'restOfDietMg' => 1200], ['name' => 'Bo', 'targetSodiumMg' => 1500, 'targetSource' => 'test', 'usualServingG' => 25.0, 'restOfDietMg' => [1 => 900, 2 => 900, 3 => 900, 4 => 900, 5 => 900, 6 => 1100, 7 => 1100]]], [0 => 2, 1 => 4, 2 => 2]);
    }

    /** Someone else at the table of the current kitchen, of whose other food nothing is known. */
    public function seat(string $name, int $targetMg, float $usualServingG): Person
    {
        return app(SavePerson::class)(
            null,
            ['name' => $name, 'usual_serving_g' => $usualServingG],
            [
                'target_sodium_mg' => $targetMg,
                'target_source' => 'test',
                'rest' => BackgroundDiet::of([])->toArray(),
            ],
            null,
        );
    }

    /** Another target for someone, for all days. */
    public function aim(string $name, int $targetMg): void
    {
        Person::query()
            ->where('name', $name)
            ->sole()
            ->currentTarget()
            ->update(['target_sodium_mg' => $targetMg]);
    }

    /**
     * The same at each meal of every day, as the screen sends it.
     *
     * @return array<int, array<string, int>>
     */
    public static function restOfDiet(int $milligrams): array
    {
        return array_fill(1, 7, array_fill_keys(array_column(Meal::cases(), 'value'), $milligrams));
    }

    /** @return array<string, mixed> the kitchen with its foods, which have an answer of their own */
    public function wholeKitchen(): array
    {
        return [
            ...$this->getJson('/api/kitchen')->assertOk()->json(),
            ...$this->getJson('/api/pantry')->assertOk()->json(),
        ];
    }

    protected function asCook(User $cook): static
    {
        // A session knows on which device its cook is signed in; this one is of nobody yet.
        $this->flushSession();
        $this->actingAs($cook);
        app(CurrentHousehold::class)->set($cook->household);

        return $this;
    }

    /**
     * A full bench, as the screen sends it: 600 g carrot, 600 g water, 2.5 % of the water.
     *
     * @param  array<string, mixed>  $change
     * @return array<string, mixed>
     */
    public function bench(array $change = []): array
    {
        return [
            'method' => 'poured_brine',
            'vegetableId' => Ingredient::query()->where('key', 'carrot')->sole()->id,
            'vegetableAmount' => '600 g',
            'shape' => 'sticks',
            'jarId' => null,
            'headspaceMm' => 20,
            'weightMl' => 0,
            'saltId' => Salt::query()->where('key', 'pickling')->sole()->id,
            'saltUnit' => 'grams',
            'fixed' => 'strength',
            'strengthPercent' => '2.5',
            'strengthBasis' => 'of_water',
            'saltAmount' => '',
            'waterAmount' => '600 g',
            'starterId' => null,
            'starterBatchId' => null,
            'starterAmount' => '',
            'servingAmount' => '40 g',
            ...$change,
        ];
    }

    /** Every answer that a test gets is held against the contract. */
    public function json($method, $uri, array $data = [], array $headers = [], $options = 0): TestResponse
    {
        $answer = parent::json($method, $uri, $data, $headers, $options);
        Contract::read()->assertAnswer((string) $method, (string) $uri, $answer->getStatusCode(), (string) $this->sent);

        return $answer;
    }

    /** The messages of an answer are read as a reader sees them; "sent" is what went over the wire. */
    public function call(
        $method,
        $uri,
        $parameters = [],
        $cookies = [],
        $files = [],
        $server = [],
        $content = null,
    ): TestResponse {
        $answer = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        $this->sent = (string) $answer->baseResponse->getContent();
        $body = $answer->baseResponse instanceof JsonResponse ? json_decode($this->sent) : null;
        if ($body !== null) {
            $answer->baseResponse->setContent(
                json_encode(self::inWords($body), JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE),
            );
        }

        return $answer;
    }

    /** What was decoded, with every message in it as a sentence. */
    public static function inWords(mixed $body): mixed
    {
        if (is_array($body)) {
            return array_map(self::inWords(...), $body);
        }
        if (!is_object($body)) {
            return $body;
        }
        if (isset($body->code, $body->values)) {
            return Words::here()->say(Message::read((array) json_decode((string) json_encode($body), true)));
        }

        return (object) array_map(self::inWords(...), (array) $body);
    }

    public function jar(string $name): string
    {
        return Jar::query()->where('name', $name)->sole()->id;
    }

    /**
     * Starts a jar and gives the answer.
     *
     * @param  array<string, mixed>  $change
     * @return TestResponse<\Illuminate\Http\JsonResponse>
     */
    public function startJar(array $change = []): TestResponse
    {
        return $this->postJson('/api/batches', [
            ...$this->bench(),
            'name' => 'Carrots',
            'place' => 'counter',
            'requestKey' => (string) Str::ulid(),
            ...$change,
        ]);
    }
}
