<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\ReadableBodies;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Incastro\Drawing\FileKind;

abstract class Controller
{
    protected function person(Request $request): User
    {
        $user = $request->user();
        assert($user instanceof User);

        return $user;
    }

    /** @return list<string> rules of whatever a person names: a line of text without signs that nobody sees */
    protected static function nameRules(): array
    {
        return ['required', 'string', 'max:80', 'not_regex:/[\p{Cc}\x{FFFE}\x{FFFF}]/u'];
    }

    /** A request that does not come from the application’s own pages has no session: it is refused before anything is done. */
    protected function refuseStrangers(Request $request): void
    {
        abort_if(strlen((string) $request->getContent()) > ReadableBodies::LARGEST_OF_STRANGERS, 413, 'What was sent is larger than a name, an address and a password are.');
        abort_unless($request->hasSession(), 400, 'This was not sent from the application’s own pages: it has neither an Origin nor a Referer.');
    }

    /**
     * A session that has just begun gets a number of its own.
     *
     * @param  array<string, mixed>  $besides
     */
    protected function begun(Request $request, int $status = 200, array $besides = []): JsonResponse
    {
        $request->session()->regenerate();
        $request->session()->put('signed_in_at', time());

        return response()->json(AccountController::described($this->person($request)) + $besides, $status);
    }

    protected function signedOut(Request $request): Response
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }

    /** A drawing to be saved under its name. */
    protected function drawn(FileKind $kind, string $name, string $body): Response
    {
        return response($body, 200, [
            'Content-Type' => $kind->contentType(),
            'Content-Disposition' => sprintf('attachment; filename="%s.%s"', str($name)->slug()->value() ?: 'drawing', $kind->value),
        ]);
    }
}
