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

    /** A drawing to be saved under its name. */
    protected function drawn(FileKind $kind, string $name, string $body): Response
    {
        return response($body, 200, [
            'Content-Type' => $kind->contentType(),
            'Content-Disposition' => sprintf('attachment; filename="%s.%s"', str($name)->slug()->value() ?: 'drawing', $kind->value),
        ]);
    }
}
