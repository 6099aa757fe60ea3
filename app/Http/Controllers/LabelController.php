<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Household\CurrentHousehold;
use App\Labels\LabelPrint;
use App\Labels\LabelSheet;
use App\Labels\LabelText;
use App\Language\ReaderLanguage;
use App\Models\Batch;
use App\Support\InvalidInput;
use App\Views\LabelView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use Tempesal\Core\Message\Message;

/**
 * Labels for jars: those that were asked for, or all on the shelf.
 *
 * @phpstan-import-type Label from LabelPrint
 */
final readonly class LabelController
{
    /** No cook sticks more at once. */
    private const MOST = 80;

    public function __construct(private CurrentHousehold $current) {}

    public function index(Request $request): JsonResponse
    {
        return new JsonResponse([
            'labels' => array_map(
                static fn(array $label): array => [
                    ...$label,
                    'rows' => LabelText::rows($label),
                    'foot' => LabelText::foot($label),
                ],
                $this->labels($request),
            ),
        ]);
    }

    /** "layout" is "sheet" (A4), "letter" (US Letter) or "single", "copies" how many of each. */
    public function pdf(Request $request): Response
    {
        $asked = $request->validate(
            [
                'layout' => ['nullable', 'string', 'in:sheet,letter,single'],
                'copies' => ['nullable', 'integer', 'min:1', 'max:8'],
            ],
            ['layout.*' => 'errors.label_layout', 'copies.*' => 'errors.label_copies'],
        );
        $labels = [];
        foreach ($this->labels($request) as $label) {
            array_push($labels, ...array_fill(0, (int) ($asked['copies'] ?? 1), $label));
        }
        if ($labels === []) {
            throw ValidationException::withMessages(['batches' => 'errors.label_no_jars']);
        }
        $sheet = LabelSheet::tryFrom((string) ($asked['layout'] ?? LabelSheet::A4->value));
        $address = $request->getSchemeAndHttpHost();
        $words = ReaderLanguage::ofHousehold($this->current->get(), $request);

        return new Response(
            $sheet === null
                ? LabelPrint::singles($labels, $address, $words)
                : LabelPrint::sheet($labels, $sheet, $address, $words),
            200,
            ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="labels.pdf"'],
        );
    }

    /**
     * @return list<Label>
     *
     * @throws ValidationException
     */
    private function labels(Request $request): array
    {
        $ids = array_filter(explode(',', is_string($request->query('batches')) ? $request->query('batches') : ''));
        if (count($ids) > self::MOST) {
            throw InvalidInput::at('batches', Message::of('errors.label_too_many', most: self::MOST));
        }
        $household = $this->current->get();
        $batches = $ids === [] ? Batch::food()->orderByDesc('started_at')->get() : Batch::whole()->find($ids);

        return array_values($batches->map(static fn(Batch $batch): array => LabelView::of($batch, $household))->all());
    }
}
