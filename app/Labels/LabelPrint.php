<?php

declare(strict_types=1);

namespace App\Labels;

use TCPDF;

/**
 * Labels as a PDF: eight on a sheet of A4, or each on a page of its own. All lengths are millimetres.
 *
 * @phpstan-type Label array{batchId: string, name: string, methodLabel: string, colour: string, startedOn: string, youngOn: string|null, readyOn: string|null, longOn: string|null, strengthPercent: float|null, strengthBasis: string, servingGrams: float, sodium: array<string, float|int>|null, allergens: list<string>, isLive: bool, isMade: bool, useBy: string|null, path: string}
 */
final class LabelPrint
{
    /** A label of the usual sheets of eight. */
    public const WIDTH = 99.1;

    public const HEIGHT = 67.7;

    private const COLUMNS = 2;

    private const ROWS = 4;

    private const LEFT = 4.9;

    private const TOP = 13.1;

    private const PADDING = 5.0;

    private const STRIPE = 5.0;

    private const QR = 21.0;

    private const FONT = 'dejavusanscondensed';

    private readonly TCPDF $pdf;

    /** @param  string  $address  at which the kitchen answers, without a slash at its end */
    private function __construct(private readonly string $address, private readonly bool $isSheet)
    {
        $this->pdf = $isSheet ? new TCPDF('P', 'mm', 'A4') : new TCPDF('L', 'mm', [self::WIDTH, self::HEIGHT]);
        $this->pdf->SetCreator('Tempesal');
        $this->pdf->setPrintHeader(false);
        $this->pdf->setPrintFooter(false);
        $this->pdf->SetAutoPageBreak(false);
        $this->pdf->SetMargins(0, 0, 0, true);
    }

    /**
     * @param  list<Label>  $labels
     * @return string the file
     */
    public static function sheet(array $labels, string $address): string
    {
        $print = new self($address, true);
        foreach ($labels as $i => $label) {
            $place = $i % (self::COLUMNS * self::ROWS);
            if ($place === 0) {
                $print->pdf->AddPage();
            }
            $print->label($label, self::LEFT + ($place % self::COLUMNS) * (self::WIDTH + 2.0), self::TOP + intdiv($place, self::COLUMNS) * self::HEIGHT);
        }

        return $print->file('Labels');
    }

    /**
     * @param  list<Label>  $labels
     * @return string the file
     */
    public static function singles(array $labels, string $address): string
    {
        $print = new self($address, false);
        foreach ($labels as $label) {
            $print->pdf->AddPage();
            $print->label($label, 0.0, 0.0);
        }

        return $print->file(count($labels) === 1 ? $labels[0]['name'] : 'Labels');
    }

    private function file(string $title): string
    {
        $this->pdf->SetTitle($title);

        return (string) $this->pdf->Output('labels.pdf', 'S');
    }

    /** @param  Label  $label */
    private function label(array $label, float $x, float $y): void
    {
        [$red, $green, $blue] = sscanf($label['colour'], '#%2x%2x%2x') ?? [185, 171, 153];
        $this->pdf->SetFillColor((int) $red, (int) $green, (int) $blue);
        $this->pdf->Rect($x, $y, self::STRIPE, self::HEIGHT, 'F');
        if ($this->isSheet) {
            $this->pdf->SetDrawColor(200, 192, 180);
            $this->pdf->Rect($x, $y, self::WIDTH, self::HEIGHT);
        }
        $left = $x + self::STRIPE + self::PADDING;
        $width = self::WIDTH - self::STRIPE - 2.0 * self::PADDING;
        $this->text($label['name'], $left, $y + 4.0, $width, 13.0, 20.0, 'B');
        $rows = LabelWords::rows($label);
        $top = $y + 19.0;
        foreach ($rows as [$what, $said]) {
            $this->pdf->SetTextColor(85, 75, 67);
            $this->text($what, $left, $top + 0.9, 17.0, 6.0, 10.0);
            $this->pdf->SetTextColor(0, 0, 0);
            $this->text($said, $left + 17.0, $top, $width - 17.0 - ($top + 6.0 > $y + self::HEIGHT - self::QR - 3.0 ? self::QR : 0.0), 6.5, 13.0, 'B');
            $top += 6.8;
        }
        $this->pdf->SetTextColor(0, 0, 0);
        $this->text(LabelWords::foot($label), $left, $y + self::HEIGHT - 12.0, $width - self::QR - 2.0, 9.0, 9.5);
        $this->pdf->write2DBarcode(
            $this->address.$label['path'], 'QRCODE,M', $x + self::WIDTH - self::PADDING - self::QR + 2.0, $y + self::HEIGHT - self::QR - 3.0, self::QR, self::QR, ['border' => false, 'padding' => 0],
        );
    }

    /** Text in a box; where it is too long, it becomes smaller until it fits. */
    private function text(string $text, float $x, float $y, float $width, float $height, float $points, string $style = ''): void
    {
        $this->pdf->SetFont(self::FONT, $style, $points);
        $this->pdf->MultiCell($width, $height, $text, 0, 'L', false, 1, $x, $y, true, 0, false, true, $height, 'T', true);
    }
}
