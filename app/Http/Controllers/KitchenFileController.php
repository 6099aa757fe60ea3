<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Backup\ImportKitchen;
use App\Backup\KitchenFile;
use App\Household\CurrentHousehold;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;

/**
 * The whole kitchen, out as a file and in again.
 */
final class KitchenFileController
{
    private const MOST_KB = 49_152;

    public function show(CurrentHousehold $current): JsonResponse
    {
        return (new JsonResponse(KitchenFile::of($current->get())))
            ->setEncodingOptions(JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION)
            ->withHeaders([
                'Content-Disposition' => "attachment; filename=\"kitchen-{$current->get()->today()}.json\"",
            ]);
    }

    public function bring(Request $request, ImportKitchen $bring): JsonResponse
    {
        $file = $request->file('file');
        if (!($file instanceof UploadedFile) || !$file->isValid()) {
            throw ValidationException::withMessages(['file' => 'errors.kitchen_file']);
        }
        if ($file->getSize() > self::MOST_KB * 1024) {
            throw ValidationException::withMessages(['file' => 'errors.text_48_mb']);
        }

        return new JsonResponse(['rows' => $bring((string) $file->get())], 201);
    }
}
