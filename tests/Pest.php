<?php

declare(strict_types=1);

use App\Language\Words;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tempesal\Core\Message\Message;
use Tests\TestCase;

pest()->extend(TestCase::class)->use(RefreshDatabase::class)->in('Api');
pest()->extend(TestCase::class)->in('Operations/NginxTest.php', 'Operations/MachinesTest.php');

/** A message as an English reader sees it; nothing stays nothing. */
function said(?Message $message): ?string
{
    return $message === null ? null : Words::in('en-GB')->say($message);
}

/** The made-up language, written if it is missing; `./tempesal test` always writes it again. */
function makeUpLanguage(): void
{
    $root = dirname(__DIR__);
    $newest = max(array_map(filemtime(...), glob("{$root}/messages/en/*.json") ?: [0]));
    if (!is_dir("{$root}/messages/en-XA") || filemtime("{$root}/messages/en-XA") < $newest) {
        (new Symfony\Component\Process\Process(['node', 'tests/Language/made-up.mjs'], $root))->mustRun();
    }
}
