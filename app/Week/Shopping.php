<?php

declare(strict_types=1);

namespace App\Week;

use App\Actions\StartFromFormula;
use App\Language\ReaderLanguage;
use App\Language\Words;
use App\Models\Jar;
use App\Models\PlannedBatch;
use Symfony\Component\Serializer\Encoder\CsvEncoder;
use Tempesal\Core\Formula\Formula;
use Tempesal\Core\Formula\FormulaAnswer;
use Tempesal\Core\Message\Day;
use Tempesal\Core\Message\Listed;
use Tempesal\Core\Message\Message;

/**
 * What must be bought for the batches that are to be started within some days, planned and suggested ones.
 */
final readonly class Shopping
{
    private const WATER = 'water';

    /**
     * @param  list<array{name: string, jarName: string, startOn: string, isPlanned: bool}>  $batches
     * @param  list<array{name: string, grams: float, for: list<string>}>  $lines
     */
    private function __construct(public string $from, public string $to, public array $batches, public array $lines) {}

    public static function of(StockAhead $ahead, int $days): self
    {
        $last = $ahead->date($days - 1);
        /** @var array<string, string> $jars */
        $jars = Jar::query()->pluck('name', 'id')->all();
        $batches = $amounts = [];
        $take = static function (Formula $scaled, string $name, string $jar, string $startOn, bool $isPlanned) use (
            &$batches,
            &$amounts,
        ): void {
            $batches[] = ['name' => $name, 'jarName' => $jar, 'startOn' => $startOn, 'isPlanned' => $isPlanned];
            foreach ($scaled->lines() as $line) {
                if ($line->food?->id !== self::WATER) {
                    $food = ReaderLanguage::say($line->label());
                    $amounts[$food]['grams'] = ($amounts[$food]['grams'] ?? 0.0) + $line->grams;
                    $amounts[$food]['for'][$name] = true;
                }
            }
        };
        foreach ($ahead->planned as $one) {
            if ($one->start_on <= $last) {
                $take(
                    self::scaled(StartFromFormula::read($one->formula->newest), $one),
                    ReaderLanguage::say($one->formula->label()),
                    $one->jar->name,
                    $one->start_on,
                    true,
                );
            }
        }
        foreach ($ahead->forecast->added as $lot) {
            if ($lot->start < $days) {
                $answer = $ahead->answers[$lot->kind];
                $take(
                    $answer->formula->scaled($lot->grams / $answer->makesG()),
                    $answer->formula->name,
                    $jars[$lot->size] ?? '',
                    $ahead->date($lot->start),
                    false,
                );
            }
        }
        $lines = [];
        foreach ($amounts as $name => $amount) {
            $lines[] = [
                'name' => (string) $name,
                'grams' => $amount['grams'],
                'for' => array_map(strval(...), array_keys($amount['for'])),
            ];
        }
        usort($lines, static fn(array $one, array $other): int => strnatcasecmp($one['name'], $other['name']));

        return new self($ahead->household->today(), $last, $batches, $lines);
    }

    public function text(Words $words): string
    {
        $lines = [$words->say(Message::of('shopping.to_start', day: new Day($this->to)))];
        foreach ($this->batches as $batch) {
            $lines[] =
                '- ' .
                $words->say(
                    Message::of(
                        'shopping.batch',
                        name: $batch['name'],
                        jar: $batch['jarName'],
                        day: new Day($batch['startOn']),
                        isPlanned: $batch['isPlanned'],
                    ),
                );
        }
        array_push($lines, '', $words->say(Message::of('shopping.to_buy')));
        foreach ($this->lines as $line) {
            $lines[] =
                '- ' .
                $words->say(
                    Message::of(
                        'shopping.line',
                        name: $line['name'],
                        amount: self::amount($line['grams']),
                        for: Listed::all($line['for']),
                    ),
                );
        }

        return implode("\n", $lines) . "\n";
    }

    /** Comma-separated; what a spreadsheet would take for a formula is made plain text. */
    public function csv(): string
    {
        $rows = array_map(
            static fn(array $line): array => [
                'name' => $line['name'],
                'grams' => round($line['grams'], 1),
                'for' => implode('; ', $line['for']),
            ],
            $this->lines,
        );

        return $rows === []
            ? "name,grams,for\n"
            : (new CsvEncoder([CsvEncoder::ESCAPE_FORMULAS_KEY => true]))->encode($rows, 'csv');
    }

    private static function amount(float $grams): Message
    {
        return $grams >= 1000.0
            ? Message::of('amount.kilograms', kg: round($grams / 1000.0, 2))
            : Message::of('amount.grams', grams: round($grams, $grams < 20.0 ? 1 : 0));
    }

    private static function scaled(Formula $formula, PlannedBatch $one): Formula
    {
        return $formula->scaled(FormulaAnswer::of($formula)->factorForJar($one->jar->geometry()) * $one->share);
    }
}
