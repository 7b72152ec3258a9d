<?php

declare(strict_types=1);

use App\Editing\FactConflict;
use App\Editing\StaleDocument;
use App\Editing\UndoRefused;
use App\Http\Middleware\CountedTries;
use App\Http\Middleware\ReadableBodies;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use Incastro\Exchange\BadFile;
use Incastro\Exchange\Fault;
use Incastro\Planning\InvalidChoice;
use Symfony\Component\HttpKernel\Exception\HttpException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // The application is same-origin and needs no CORS (see compat/README.md).
        $middleware->remove(HandleCors::class);
        $middleware->prepend(ReadableBodies::class);
        $middleware->statefulApi();
        $middleware->alias(['throttle' => CountedTries::class]);
        // What is said to one person is kept by nobody on the way; the service worker keeps some of it for its own browser.
        $middleware->api(append: ['cache.headers:private;no_store']);
        $middleware->trustHosts(at: fn () => array_map(fn (string $host) => '^'.preg_quote(explode(':', $host)[0]).'$', config('sanctum.stateful')), subdomains: false);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->trustProxies(at: env('INCASTRO_TRUSTED_PROXIES'));
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(fn (Request $request) => $request->is('api/*'));
        // The core's own refusals are answers to the person, not failures of the program.
        $exceptions->dontReport([InvalidChoice::class, BadFile::class, StaleDocument::class, UndoRefused::class, FactConflict::class]);
        // What people wrote stands in statements: of a failed one the log keeps the question without them.
        $exceptions->report(function (QueryException $failed): bool {
            Log::error('A statement failed: '.explode("\n", (string) $failed->getPrevious()?->getMessage())[0], ['statement' => $failed->getSql()]);

            return false;
        });
        $exceptions->render(function (HttpException $refused, Request $request) {
            $isBare = $refused->getPrevious() !== null || in_array($refused->getMessage(), ['', 'Not Found'], true) || str_starts_with($refused->getMessage(), 'The route ');

            return $refused->getStatusCode() === 404 && $request->is('api/*') && $isBare ? response()->json(['message' => 'This does not exist, or it is not yours.'], 404) : null;
        });
        $exceptions->render(fn (FactConflict $conflict) => response()->json(['message' => $conflict->getMessage()], 409));
        $exceptions->render(fn (InvalidChoice $refused) => response()->json(['message' => $refused->getMessage(), 'errors' => [$refused->path => [$refused->getMessage()]]], 422));
        $exceptions->render(fn (BadFile $bad) => response()->json([
            'message' => 'The file was not taken; nothing was changed.',
            'errors' => ['file' => array_map(fn (Fault $fault) => (string) $fault, $bad->faults)],
        ], 422));
        $exceptions->render(fn (StaleDocument $stale) => response()->json(['message' => $stale->getMessage(), 'version' => $stale->version, 'changed' => $stale->changed], 409));
        $exceptions->render(fn (UndoRefused $refused) => response()->json(['message' => $refused->getMessage()], 409));
    })
    ->create();
