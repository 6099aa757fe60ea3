<?php

declare(strict_types=1);

namespace App\Labels;

use App\Language\Words;
use Dompdf\Dompdf;
use Dompdf\Options;
use Tempesal\Core\Message\Message;

/**
 * Labels as a PDF: on a sheet of A4 or US Letter, or each on a page of its own. Lengths are millimetres, letters points.
 *
 * @phpstan-type Label array{batchId: string, name: string, methodLabel: Message, colour: string, startedOn: string,
 *     youngOn: string|null, readyOn: string|null, longOn: string|null, strengthPercent: float|null,
 *     strength: Message|null, servingGrams: float, sodium: array<string, float|int>|null, allergens: list<string>,
 *     isLive: bool, isMade: bool, useBy: string|null, sodiumOn: string|null, potassium: Message|null, stageLabel: Message, path: string}
 */
final class LabelPrint
{
    /** A label of the usual sheets of eight. */
    public const WIDTH = 99.1;

    public const HEIGHT = 67.7;

    private const PADDING = 5.0;

    private const STRIPE = 5.0;

    private const QR = 21.0;

    /** A row where there are few; more share the room between the name and the foot. */
    private const ROW = 6.8;

    private const FIRST_ROW = 17.5;

    private const FOOT = 12.0;

    /** Letters of a row, in points, for each millimetre of its height. */
    private const POINTS_PER_ROW = 2.2;

    private const TITLES = 20.0;

    private const FONT = 'DejaVu Sans';

    private const LETTERS_PER_POINT = 0.3528;

    /** No letter gets smaller. */
    private const SMALLEST = 6.0;

    private readonly Dompdf $pdf;

    /** @param  string  $address  at which the kitchen answers, without a slash at its end */
    private function __construct(private readonly string $address, private readonly Words $words)
    {
        $folder = storage_path('framework/cache/fonts');
        if (!is_dir($folder)) {
            mkdir($folder, 0700, true);
        }
        $this->pdf = new Dompdf(
            new Options([
                'isRemoteEnabled' => false,
                'isPhpEnabled' => false,
                'defaultFont' => self::FONT,
                'isFontSubsettingEnabled' => true,
                'fontCache' => $folder,
                'tempDir' => $folder,
                'chroot' => [base_path('vendor/dompdf')],
            ]),
        );
    }

    /**
     * @param  list<Label>  $labels
     * @return string the file
     */
    public static function sheet(array $labels, LabelSheet $sheet, string $address, Words $words): string
    {
        $print = new self($address, $words);
        $pages = array_map(
            static fn(array $some): string => implode(
                '',
                array_map(
                    static fn(array $label, int $place): string => $print->label(
                        $label,
                        true,
                        ...$sheet->place($place),
                    ),
                    $some,
                    array_keys($some),
                ),
            ),
            array_chunk($labels, $sheet->places()),
        );

        return $print->file($pages, $sheet->paper(), $print->words->say(Message::of('label.title')));
    }

    /**
     * @param  list<Label>  $labels
     * @return string the file
     */
    public static function singles(array $labels, string $address, Words $words): string
    {
        $print = new self($address, $words);
        $points = static fn(float $millimetres): float => ($millimetres / 25.4) * 72.0;

        return $print->file(
            array_map(static fn(array $label): string => $print->label($label, false, 0.0, 0.0), $labels),
            [0.0, 0.0, $points(self::WIDTH), $points(self::HEIGHT)],
            count($labels) === 1 ? $labels[0]['name'] : $print->words->say(Message::of('label.title')),
        );
    }

    /**
     * @param  list<string>  $pages
     * @param  string|array{float, float, float, float}  $paper
     */
    private function file(array $pages, string|array $paper, string $title): string
    {
        $style =
            '@page { margin: 0 } body { margin: 0; font-family: "' .
            self::FONT .
            '"; line-height: 1.05 } div { position: absolute; overflow: hidden }' .
            ' .page { position: relative; page-break-after: always } .page.last { page-break-after: auto }';
        $last = count($pages) - 1;
        $body = implode(
            '',
            array_map(
                static fn(string $page, int $i): string => '<section class="page' .
                    ($i === $last ? ' last' : '') .
                    "\">{$page}</section>",
                $pages,
                array_keys($pages),
            ),
        );
        $this->pdf->setPaper($paper);
        $this->pdf->loadHtml(
            "<html><head><title>{$this->safe($title)}</title><style>{$style}</style></head><body>{$body}</body></html>",
            'UTF-8',
        );
        $this->pdf->render();
        $this->pdf->addInfo('Creator', 'Tempesal');

        return (string) $this->pdf->output();
    }

    /** @param  Label  $label */
    private function label(array $label, bool $hasFrame, float $x, float $y): string
    {
        $colour = preg_match('/^#[0-9a-f]{6}$/i', $label['colour']) === 1 ? $label['colour'] : '#b9ab99';
        $left = $x + self::STRIPE + self::PADDING;
        $width = self::WIDTH - self::STRIPE - 2.0 * self::PADDING;
        $parts = [
            $hasFrame ? self::box($x, $y, self::WIDTH - 0.3, self::HEIGHT - 0.3, 'border: 0.3mm solid #c8c0b4') : '',
            self::box($x, $y, self::STRIPE, self::HEIGHT, "background: {$colour}"),
            $this->text($label['name'], $left, $y + 4.0, $width, 13.0, 16.5, 'font-weight: bold', 2),
        ];
        $top = $y + self::FIRST_ROW;
        $rows = LabelText::rows($label);
        $row = min(self::ROW, (self::HEIGHT - self::FOOT - self::FIRST_ROW) / max(1, count($rows)));
        foreach ($rows as [$what, $said]) {
            $beside = $top + $row > $y + self::HEIGHT - self::QR - 3.0 ? self::QR : 0.0;
            $parts[] = $this->text(
                $this->words->say($what),
                $left,
                $top + 0.1 * $row,
                self::TITLES,
                $row,
                min(10.0, 1.8 * $row),
                'color: #554b43',
            );
            $parts[] = $this->text(
                $this->words->say($said),
                $left + self::TITLES,
                $top,
                $width - self::TITLES - $beside,
                $row,
                min(13.0, self::POINTS_PER_ROW * $row),
                'font-weight: bold',
            );
            $top += $row;
        }
        $parts[] = $this->text(
            $this->words->say(LabelText::foot($label)),
            $left,
            $y + self::HEIGHT - self::FOOT + 2.0,
            $width - self::QR - 2.0,
            9.0,
            9.5,
            '',
            2,
        );
        $parts[] = $this->code(
            $this->address . $label['path'],
            $x + self::WIDTH - self::PADDING - self::QR + 2.0,
            $y + self::HEIGHT - self::QR - 3.0,
        );

        return implode('', $parts);
    }

    /** Text in a box; where it is too long for its lines, it becomes smaller until it fits. */
    private function text(
        string $text,
        float $x,
        float $y,
        float $width,
        float $height,
        float $points,
        string $style = '',
        int $lines = 1,
    ): string {
        $metrics = $this->pdf->getFontMetrics();
        $font = (string) $metrics->getFont(self::FONT, str_contains($style, 'bold') ? 'bold' : 'normal');
        // A line that breaks between words is not filled to its end.
        $room = $lines === 1 ? $width : $width * ($lines - 0.4);
        while (
            $points > self::SMALLEST &&
            $metrics->getTextWidth($text, $font, $points) * self::LETTERS_PER_POINT > $room
        ) {
            $points -= 0.5;
        }

        return self::box(
            $x,
            $y,
            $width,
            $height,
            "font-size: {$points}pt; {$style}" . ($lines === 1 ? '; white-space: nowrap' : ''),
            $this->safe($text),
        );
    }

    /** The address as a QR code: rows of dark modules, each run one box. */
    private function code(string $address, float $x, float $y): string
    {
        $modules = QrCode::of($address);
        $svg = '';
        foreach ($modules as $row => $line) {
            $dark = implode('', array_map(static fn(bool $one): string => $one ? '1' : '0', $line));
            if (preg_match_all('/1+/', $dark, $runs, PREG_OFFSET_CAPTURE) > 0) {
                foreach ($runs[0] as [$run, $at]) {
                    $svg .= sprintf('<rect x="%d" y="%d" width="%d" height="1"/>', $at, $row, strlen($run));
                }
            }
        }
        $picture = sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %1$d %1$d" width="%1$d" height="%1$d">%2$s</svg>',
            count($modules),
            $svg,
        );

        return self::box(
            $x,
            $y,
            self::QR,
            self::QR,
            '',
            sprintf(
                '<img style="width: %1$smm; height: %1$smm" src="data:image/svg+xml;base64,%2$s">',
                self::QR,
                base64_encode($picture),
            ),
        );
    }

    private static function box(
        float $x,
        float $y,
        float $width,
        float $height,
        string $style,
        string $inside = '',
    ): string {
        return sprintf(
            '<div style="left: %.2Fmm; top: %.2Fmm; width: %.2Fmm; height: %.2Fmm; %s">%s</div>',
            $x,
            $y,
            $width,
            $height,
            $style,
            $inside,
        );
    }

    private function safe(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE);
    }
}
