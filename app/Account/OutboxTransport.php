<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;

/**
 * Where no mail server is set: every mail is a file in a folder that only the installation's owner opens.
 */
final class OutboxTransport extends AbstractTransport
{
    public function __construct(private readonly string $folder)
    {
        parent::__construct();
    }

    public function __toString(): string
    {
        return 'outbox://';
    }

    protected function doSend(SentMessage $message): void
    {
        File::ensureDirectoryExists($this->folder, 0700);
        File::put("{$this->folder}/" . Str::ulid() . '.eml', $message->toString());
    }
}
