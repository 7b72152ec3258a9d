<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Asks for the password again after some months, however often a device was used meanwhile. */
final class SignedInLately
{
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->hasSession() && $request->user() !== null) {
            $since = $request->session()->get('signed_in_at');
            if (! is_int($since)) {
                $request->session()->put('signed_in_at', time());
            } elseif ($since < time() - 86_400 * config('incastro.signed_in_days')) {
                Auth::guard('web')->logout();
                $request->session()->invalidate();
                throw new AuthenticationException();
            }
        }

        return $next($request);
    }
}
