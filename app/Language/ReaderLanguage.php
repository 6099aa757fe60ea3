<?php

declare(strict_types=1);

namespace App\Language;

use App\Models\Household;
use Illuminate\Http\Request;
use Tempesal\Core\Message\Message;

/**
 * The language of whoever asks, for files that are written while they wait: what their browser names first, or "locale"
 * in the address.
 */
final class ReaderLanguage
{
    /** A language with its country, as BCP 47 has it: "en-GB". */
    public const LOCALE = '/^[a-z]{2,3}(-[a-z0-9]{2,8}){0,2}$/i';

    /** A name for whoever asks. */
    public static function say(Message $message): string
    {
        return self::words(request())->say($message);
    }

    public static function words(Request $request): Words
    {
        $asked = $request->query('locale');
        $locale = str_replace(
            '_',
            '-',
            is_string($asked) && $asked !== '' ? $asked : (string) ($request->getLanguages()[0] ?? ''),
        );

        return self::in($locale);
    }

    /** The language of what a whole household reads, unless the address names another ("locale"). */
    public static function ofHousehold(Household $household, Request $request): Words
    {
        $words = is_string($request->query('locale')) ? self::words($request) : self::in($household->language);

        return $words->measuredBy($household->units());
    }

    /** A language by its name; that of the installation for anything else, wherever it came from. */
    private static function in(string $locale): Words
    {
        return preg_match(self::LOCALE, $locale) === 1 ? Words::in($locale) : Words::here();
    }
}
