<?php

declare(strict_types=1);

namespace App\Actions;

use App\Account\ResetTokens;
use App\Language\ReaderLanguage;
use App\Models\User;
use Illuminate\Mail\Message as Mail;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\Mail as Post;
use Tempesal\Core\Message\Message;

/**
 * Sends a link by which a cook chooses a new password, once and within an hour; after the answer, which then says nothing
 * about whether there was anything to send.
 */
final readonly class SendResetLink
{
    public function __invoke(?User $user): void
    {
        if ($user === null) {
            ResetTokens::createNone();

            return;
        }
        $link = self::link($user);
        $words = ReaderLanguage::words(request());
        $text = $words->say(Message::of('mail.reset_text', email: $user->email, link: $link));
        $subject = $words->say(Message::of('mail.reset_subject'));
        defer(static fn() => Post::raw($text, static fn(Mail $mail) => $mail->to($user->email)->subject($subject)));
    }

    /** A new link; the one before it is not valid any more. */
    public static function link(User $user): string
    {
        $token = ResetTokens::create($user);

        return rtrim(Config::string('app.url'), '/') .
            "/new-password/{$token}?" .
            http_build_query(['email' => $user->email]);
    }
}
