<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** Signing in and out. */
final class SessionController extends Controller
{
    public function show(Request $request): JsonResponse
    {
        $user = $request->user();

        return response()->json([
            'demo' => config('incastro.demo') === true,
            'user' => $user instanceof User ? AccountController::described($user) : null,
        ]);
    }

    public function store(Request $request): JsonResponse
    {
        $this->refuseStrangers($request);
        $credentials = $request->validate(['email' => ['required', 'string'], 'password' => ['required', 'string']]);
        if (! Auth::guard('web')->attempt(['email' => mb_strtolower($credentials['email']), 'password' => $credentials['password']], true)) {
            throw ValidationException::withMessages(['email' => 'E-mail and password do not belong together. Check both; capital letters count in the password.']);
        }
        $request->session()->regenerate();

        return response()->json(AccountController::described($this->person($request)));
    }

    public function demo(Request $request): JsonResponse
    {
        abort_unless(config('incastro.demo') === true, 404);
        $this->refuseStrangers($request);
        $demo = User::query()->where('is_demo', true)->firstOrFail();
        Auth::guard('web')->login($demo);
        $request->session()->regenerate();

        return response()->json(AccountController::described($demo));
    }

    public function destroy(Request $request): Response
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }
}
