<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\User;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Support\Facades\Mail;

/** A letter in plain text: what happened, a link where there is something to do, and what to do if it was somebody else. */
final class Letter extends Mailable implements ShouldQueue
{
    use Queueable;

    private function __construct(private readonly string $about, private readonly string $said, private readonly ?string $link, private readonly string $otherwise)
    {
    }

    public static function passwordReset(User $user, string $token): self
    {
        return new self('A new password', 'Somebody, probably you, asked for a new password. Open this address within an hour and choose one:', url('/new-password').'#'.http_build_query(['token' => $token, 'email' => $user->email]), 'If it was not you, do nothing: the password stays as it is.');
    }

    public static function passwordChanged(): self
    {
        return new self('Your password was changed', 'The password of your account was changed a moment ago, and every other device was signed out.', null, 'If it was not you, ask for a new password at once: '.url('/sign-in').'.');
    }

    public static function welcome(string $token): self
    {
        return new self('Your account', 'Open this address within a day, and your account is made:', url('/welcome').'#'.http_build_query(['token' => $token]), 'If you did not ask for an account, do nothing: none is made.');
    }

    public static function alreadyHere(): self
    {
        return new self('Your account', 'Somebody, probably you, asked for an account with this address. You have one already: sign in with it.', url('/sign-in'), 'If you forgot the password, ask there for a new one.');
    }

    /** Sends it where letters are sent at all. */
    public function sendTo(string $email): void
    {
        if (config('incastro.mail') === true) {
            Mail::to($email)->queue($this);
        }
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'Incastro: '.$this->about);
    }

    public function content(): Content
    {
        return new Content(text: 'letter', with: ['said' => $this->said, 'link' => $this->link, 'otherwise' => $this->otherwise]);
    }
}
