<?php

declare(strict_types=1);

use App\Editing\StaleDocument;
use App\Editing\UndoRefused;
use App\Http\Middleware\ReadableBodies;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Incastro\Exchange\BadFile;
use Incastro\Exchange\Fault;
use Incastro\Planning\InvalidChoice;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
        health: '/up',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // The application is same-origin and needs no CORS (see compat/README.md).
        $middleware->remove(HandleCors::class);
        $middleware->prepend(ReadableBodies::class);
        $middleware->statefulApi();
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->trustProxies(at: env('INCASTRO_TRUSTED_PROXIES'));
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(fn (Request $request) => $request->is('api/*'));
        // The core's own refusals are answers to the person, not failures of the program.
        $exceptions->dontReport([InvalidChoice::class, BadFile::class, StaleDocument::class, UndoRefused::class]);
        $exceptions->render(fn (InvalidChoice $refused) => response()->json(['message' => $refused->getMessage(), 'errors' => [$refused->path => [$refused->getMessage()]]], 422));
        $exceptions->render(fn (BadFile $bad) => response()->json([
            'message' => 'The file was not taken; nothing was changed.',
            'errors' => ['file' => array_map(fn (Fault $fault) => (string) $fault, $bad->faults)],
        ], 422));
        $exceptions->render(fn (StaleDocument $stale) => response()->json(['message' => $stale->getMessage(), 'version' => $stale->version, 'changed' => $stale->changed], 409));
        $exceptions->render(fn (UndoRefused $refused) => response()->json(['message' => $refused->getMessage()], 409));
    })
    ->create();
