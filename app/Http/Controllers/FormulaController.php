<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Language\ReaderLanguage;
use App\Actions\SaveFormula;
use App\Actions\StartFromFormula;
use App\Console\InputError;
use App\Console\JsonInput;
use App\Formulas\FormulaScaler;
use App\Household\CurrentHousehold;
use App\Http\Requests\FormulaStartRequest;
use App\Http\Responses\BatchPage;
use App\Ledger\EntryReader;
use App\Models\Batch;
use App\Models\Formula;
use App\Models\FormulaVersion;
use App\Models\Ingredient;
use App\Models\Person;
use App\Models\Salt;
use App\Pantry\FoodMeasures;
use App\Pantry\LibraryText;
use App\Support\InvalidInput;
use App\Views\FormulaView;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Tempesal\Core\Document\InvalidField;
use Tempesal\Core\Formula\Formula as Read;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Interchange\FormulaImport;
use Tempesal\Core\Interchange\RecipeText;
use Tempesal\Core\Interchange\SchemaRecipe;

/**
 * The kitchen's formulas: reading, scaling, changing, bringing in and handing out.
 */
final readonly class FormulaController
{
    private const KEY = ['requestKey' => ['required', 'string', 'ulid']];

    private const KEY_MESSAGE = ['requestKey.*' => 'errors.request_key'];

    public function __construct(private CurrentHousehold $current, private FormulaScaler $scale) {}

    public function index(): JsonResponse
    {
        $pantry = EntryReader::pantry();
        $words = ReaderLanguage::words(request());
        $rows = [];
        foreach (Formula::query()->with('newest')->orderByRaw('natural_sort_key(name)')->get() as $row) {
            $read = Read::read(LibraryText::shown($row->newest->document, $row->key, $words), $pantry);
            $rows[] = FormulaView::inList($row, $read, FormulaAnswer::of($read));
        }

        return new JsonResponse(['formulas' => $rows]);
    }

    public function show(string $formula, Request $request): JsonResponse
    {
        $request->validate(
            [...FormulaScaler::rules(), 'version' => ['nullable', 'integer', 'min:1']],
            [...FormulaScaler::messages(), 'version.*' => 'errors.version_number'],
        );
        $row = Formula::query()->with('versions')->findOrFail($formula);

        return $this->page($row, $request);
    }

    /** What follows from a formula that is being written; nothing is kept. */
    public function compute(Request $request): JsonResponse
    {
        $request->validate(
            [...FormulaScaler::rules(), 'document' => ['required', 'array', 'max:60']],
            [...FormulaScaler::messages(), 'document.*' => 'errors.formula_missing'],
        );
        $read = SaveFormula::check(self::document($request), 'document');
        [$scaled, $factor] = $this->scale->apply($read, $request);

        return new JsonResponse(
            FormulaView::worked($scaled, $factor, $this->current->get()->spoon_system, Person::atTable()),
        );
    }

    public function store(Request $request, SaveFormula $save): JsonResponse
    {
        $request->validate(
            [...self::KEY, 'document' => ['required', 'array', 'max:60']],
            [...self::KEY_MESSAGE, 'document.*' => 'errors.formula_missing'],
        );
        $row = $save->asNew(self::document($request), $request->string('requestKey')->value());

        return $this->page($row->load('versions'))->setStatusCode(201);
    }

    /** Many formulas at once, all or none. */
    public function bring(Request $request, SaveFormula $save): JsonResponse
    {
        $request->validate(
            [...self::KEY, 'documents' => ['required', 'array', 'min:1', 'max:500']],
            [...self::KEY_MESSAGE, 'documents.*' => 'errors.formulas_missing'],
        );
        $ids = $save->all(array_values((array) $request->input('documents')), $request->string('requestKey')->value());

        return new JsonResponse(['ids' => $ids], 201);
    }

    public function update(string $formula, Request $request, SaveFormula $save): JsonResponse
    {
        $request->validate(
            [
                ...self::KEY,
                'document' => ['required', 'array', 'max:60'],
                'basedOn' => ['required', 'integer', 'min:1'],
            ],
            [...self::KEY_MESSAGE, 'document.*' => 'errors.formula_missing', 'basedOn.*' => 'errors.based_on'],
        );
        $row = $save->asVersion(
            $formula,
            self::document($request),
            $request->integer('basedOn'),
            $request->string('requestKey')->value(),
        );

        return $this->page($row->load('versions'));
    }

    public function archive(string $formula, Request $request): JsonResponse
    {
        $request->validate(['archived' => ['required', 'boolean']], ['archived.*' => 'errors.archived']);
        $row = Formula::query()->with('versions')->findOrFail($formula);
        $row->update(['archived_at' => $request->boolean('archived') ? CarbonImmutable::now() : null]);

        return $this->page($row);
    }

    public function start(
        string $formula,
        FormulaStartRequest $request,
        StartFromFormula $start,
        BatchPage $batches,
    ): JsonResponse {
        $row = Formula::query()->with('versions')->findOrFail($formula);
        $version = self::version($row, $request);
        [$scaled] = $this->scale->apply(StartFromFormula::read($version), $request);
        $batch = $start(
            $version,
            $scaled,
            $request->jarId(),
            $request->string('name')->trim()->value(),
            $request->string('place')->value(),
            $request->startedAt(),
            $request->string('requestKey')->value(),
            $request->filled('plannedBatchId') ? $request->string('plannedBatchId')->value() : null,
            $request->boolean('hasOneMore'),
            $request->begin(),
            $request->boolean('isSaltedTwice'),
        );

        return $batches->answer($batch->id, 201);
    }

    /** Looks at what is to be brought in; nothing is written. */
    public function preview(Request $request): JsonResponse
    {
        $request->validate(
            ['text' => ['required', 'string', 'max:4000000']],
            ['text.required' => 'errors.import_empty', 'text.max' => 'errors.text_4_mb', 'text.*' => 'errors.text'],
        );
        $text = $request->string('text')->value();
        try {
            $decoded = preg_match('/^\s*[{\[]/', $text) === 1 ? JsonInput::decode($text) : null;

            return new JsonResponse([
                'candidates' => (new FormulaImport(EntryReader::pantry(), $this->recipeText()))->look($text, $decoded),
            ]);
        } catch (InvalidField $refusal) {
            throw InvalidInput::at('text', $refusal->explanation());
        } catch (InputError $refusal) {
            throw InvalidInput::at('text', $refusal->explanation());
        }
    }

    /** Formulas for other programs: Tempesal's own JSON, or schema.org recipes in JSON-LD. */
    public function export(Request $request): JsonResponse
    {
        $request->validate(
            [
                'as' => ['required', 'string', 'in:json,jsonld'],
                'ids' => ['nullable', 'array', 'max:500'],
                'ids.*' => ['string', 'max:26'],
            ],
            ['as.*' => 'errors.export_json', 'ids.*' => 'errors.formula_ids'],
        );
        $pantry = EntryReader::pantry();
        $isLinked = $request->string('as')->value() === 'jsonld';
        $words = ReaderLanguage::words($request);
        $documents = [];
        foreach (Formula::query()->with('newest')->orderBy('name')->get() as $row) {
            if (!$request->filled('ids') || in_array($row->id, (array) $request->input('ids'), true)) {
                $documents[] = $isLinked
                    ? LibraryText::shown($row->newest->document, $row->key, $words)
                    : $row->newest->document;
            }
        }
        $body = $isLinked
            ? [
                '@context' => 'https://schema.org',
                '@graph' => array_map(
                    static fn(array $document): array => array_diff_key(
                        $words->inWords(SchemaRecipe::of(FormulaAnswer::of(Read::read($document, $pantry)))),
                        ['@context' => ''],
                    ),
                    $documents,
                ),
            ]
            : ['tempesal' => FormulaImport::BUNDLE, 'version' => Read::VERSION, 'formulas' => $documents];

        return (new JsonResponse($body))
            ->setEncodingOptions(JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)
            ->withHeaders([
                'Content-Disposition' => 'attachment; filename="formulas.' . ($isLinked ? 'jsonld' : 'json') . '"',
            ]);
    }

    private function page(Formula $row, ?Request $request = null): JsonResponse
    {
        $version = self::version($row, $request);
        $read = Read::read(
            LibraryText::shown($version->document, $row->key, ReaderLanguage::words(request())),
            EntryReader::pantry(),
        );
        [$scaled, $factor] = $request === null ? [$read, 1.0] : $this->scale->apply($read, $request);

        return new JsonResponse(
            FormulaView::page(
                $row,
                $version,
                $scaled,
                $factor,
                $this->current->get(),
                Person::atTable(),
                Batch::query()
                    ->whereIn('formula_version_id', $row->versions->pluck('id')->all())
                    ->get(),
            ),
        );
    }

    private static function version(Formula $row, ?Request $request): FormulaVersion
    {
        $number = $request?->filled('version') === true ? $request->integer('version') : $row->version;

        return $row->versions->firstWhere('number', $number) ?? abort(404);
    }

    /** @return array<string, mixed> */
    private static function document(Request $request): array
    {
        /** @var array<string, mixed> the whole of it, so that unknown fields can be named */
        return $request->input('document');
    }

    private function recipeText(): RecipeText
    {
        return new RecipeText(
            FoodMeasures::ofKitchen(),
            array_values(
                Ingredient::query()
                    ->where('use', 'starter')
                    ->get()
                    ->map(static fn(Ingredient $food): string => $food->key)
                    ->all(),
            ),
            $this->current->get()->units(),
        );
    }
}
