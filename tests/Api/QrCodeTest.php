<?php

declare(strict_types=1);

use App\Labels\QrCode;
use Symfony\Component\Process\Process;

it('draws codes that a reader of others reads back, of every size', function (): void {
    // As long as an address may be: the longest of each version at correction level M, and one letter more
    // (ISO/IEC 18004, table 7; from memory).
    $lengths = [1, 14, 15, 26, 27, 42, 43, 62, 63, 84, 85, 106, 107, 122, 123, 152, 153, 180, 181, 213];
    $texts = array_map(
        fn(int $length): string => substr(
            str_repeat('https://kitchen.example/shelf/01KB2M8Q4T6V8X0Z2B4D6F8H00?a=', 5),
            0,
            $length,
        ),
        $lengths,
    );
    $codes = array_map(QrCode::of(...), $texts);
    $reader = <<<'JS'
    const jsQR = (await import('jsqr')).default.default ?? (await import('jsqr')).default;
    const codes = JSON.parse(await new Promise((done) => { let all = ''; process.stdin.on('data', (part) => (all += part)).on('end', () => done(all)); }));
    const dot = 4, margin = 4;
    console.log(JSON.stringify(codes.map((rows) => {
      const size = (rows.length + 2 * margin) * dot;
      const dots = new Uint8ClampedArray(size * size * 4).fill(255);
      rows.forEach((row, y) => row.forEach((dark, x) => {
        for (let i = 0; dark && i < dot * dot; i++) {
          const at = (((y + margin) * dot + Math.floor(i / dot)) * size + (x + margin) * dot + (i % dot)) * 4;
          dots.set([0, 0, 0], at);
        }
      }));
      return jsQR(dots, size, size)?.data ?? null;
    })));
    JS;
    $read = new Process(['node', '--input-type=module', '-e', $reader], base_path(), null, json_encode($codes));
    expect(json_decode($read->mustRun()->getOutput(), true))->toBe($texts);
    expect(array_map(count(...), $codes))->toBe(
        array_map(fn(int $i): int => 21 + 4 * intdiv($i, 2), array_keys($lengths)),
    );
    expect(fn() => QrCode::of(str_repeat('x', 214)))->toThrow(LengthException::class);
});
