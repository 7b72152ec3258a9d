<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Incastro\Drawing\FileKind;

abstract class Controller
{
    protected function person(Request $request): User
    {
        $user = $request->user();
        assert($user instanceof User);

        return $user;
    }

    /** A request that does not come from the application’s own pages has no session: it is refused before anything is done. */
    protected function refuseStrangers(Request $request): void
    {
        abort_unless($request->hasSession(), 400, 'This was not sent from the application’s own pages: it has neither an Origin nor a Referer.');
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
