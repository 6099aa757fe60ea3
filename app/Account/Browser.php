<?php

declare(strict_types=1);

namespace App\Account;

/**
 * What a browser says of itself, in two words: enough to tell the tablet from the laptop.
 */
final class Browser
{
    /** Those that also say they are another come first. */
    private const BROWSERS = [
        'edge' => '/\bEdg(e|A|iOS)?\//',
        'opera' => '/\bOPR\//',
        'firefox' => '/\b(Firefox|FxiOS)\//',
        'chrome' => '/\b(Chrom(e|ium)|CriOS|HeadlessChrome)\//',
        'safari' => '/\bSafari\//',
    ];

    private const SYSTEMS = [
        'ipad' => '/\biPad\b/',
        'iphone' => '/\biPhone\b/',
        'android' => '/\bAndroid\b/',
        'windows' => '/\bWindows\b/',
        'mac' => '/\bMac OS X\b|\bMacintosh\b/',
        'linux' => '/\bLinux\b|\bCrOS\b/',
    ];

    /** @return array{browser: string, system: string} */
    public static function of(string $says): array
    {
        return ['browser' => self::first(self::BROWSERS, $says), 'system' => self::first(self::SYSTEMS, $says)];
    }

    /** @param  array<string, string>  $signs */
    private static function first(array $signs, string $says): string
    {
        foreach ($signs as $name => $sign) {
            if (preg_match($sign, $says) === 1) {
                return $name;
            }
        }

        return 'other';
    }
}
