<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Backup\ImportKitchen;
use App\Backup\KitchenArchive;
use App\Backup\KitchenFile;
use App\Backup\KitchenUpload;
use App\Household\CurrentHousehold;
use App\Support\InvalidInput;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpKernel\Exception\HttpException;
use Tempesal\Core\Message\Message;

/**
 * The whole kitchen, out as a file and in again.
 */
final class KitchenFileController
{
    /** What comes in one piece; more comes in parts. */
    private const MOST_KB = 49_152;

    private const MOST_PARTS = 100_000;

    public function show(Request $request, CurrentHousehold $current): JsonResponse|BinaryFileResponse
    {
        $as =
            $request->validate(['as' => ['nullable', 'string', 'in:json,zip']], ['as.*' => 'errors.export_kitchen'])[
                'as'
            ] ?? 'json';
        $household = $current->get();
        $name = "kitchen-{$household->today()}.{$as}";
        if ($as === 'zip') {
            return (new BinaryFileResponse(KitchenArchive::make($household), 200, [
                'Content-Type' => 'application/zip',
                'Content-Disposition' => "attachment; filename=\"{$name}\"",
            ]))->deleteFileAfterSend();
        }

        return (new JsonResponse(KitchenFile::of($household)))
            ->setEncodingOptions(JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION)
            ->withHeaders(['Content-Disposition' => "attachment; filename=\"{$name}\""]);
    }

    /** A file of any size is announced first, then comes in parts. */
    public function announce(KitchenUpload $upload): JsonResponse
    {
        return new JsonResponse(['id' => $upload->begin(), 'partBytes' => KitchenUpload::PART], 201);
    }

    public function part(Request $request, KitchenUpload $upload, string $file, string $part): JsonResponse
    {
        if (!ctype_digit($part) || (int) $part >= self::MOST_PARTS) {
            abort(404);
        }
        $bytes = $request->getContent();
        if (strlen($bytes) > KitchenUpload::PART) {
            throw new HttpException(413);
        }
        $upload->put($file, (int) $part, $bytes) ?: abort(404);

        return new JsonResponse(['part' => (int) $part]);
    }

    public function bring(Request $request, ImportKitchen $bring, KitchenUpload $upload): JsonResponse
    {
        $path = $request->has('upload') ? self::sentInParts($request, $upload) : self::sentWhole($request);
        $archive = KitchenArchive::isOne($path)
            ? KitchenArchive::read($path)
            : [(string) file_get_contents($path), null];
        $rows = $bring(...$archive ?? ['', null]);
        $upload->forget();

        return new JsonResponse(['rows' => $rows], 201);
    }

    private static function sentInParts(Request $request, KitchenUpload $upload): string
    {
        $asked = $request->validate(
            [
                'upload' => ['required', 'string', 'max:26'],
                'parts' => ['required', 'integer', 'min:1', 'max:' . self::MOST_PARTS],
            ],
            ['*' => 'errors.upload_incomplete'],
        );

        return $upload->whole((string) $asked['upload'], (int) $asked['parts']) ??
            throw InvalidInput::at('file', Message::of('errors.upload_incomplete'));
    }

    private static function sentWhole(Request $request): string
    {
        $file = $request->file('file');
        if (!($file instanceof UploadedFile) || !$file->isValid()) {
            throw InvalidInput::at('file', Message::of('errors.kitchen_file'));
        }
        if ($file->getSize() > self::MOST_KB * 1024) {
            throw InvalidInput::at('file', Message::of('errors.text_48_mb'));
        }

        return $file->getPathname();
    }
}
