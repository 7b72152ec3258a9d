<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rules\Password;
use Illuminate\Validation\ValidationException;

/** A person's account: made, given another password, deleted with everything in it. */
final class AccountController extends Controller
{
    public function store(Request $request): JsonResponse
    {
        $this->refuseStrangers($request);
        $request->merge(is_string($request->input('email')) ? ['email' => mb_strtolower($request->input('email'))] : []);
        $data = $request->validate([
            'name' => ['required', 'string', 'max:80'],
            'email' => ['bail', 'required', 'string', 'email', 'max:190', 'unique:users,email'],
            'password' => ['required', 'string', 'max:200', Password::defaults()],
        ], ['email.unique' => 'There is an account with this e-mail already. Sign in instead.']);
        $user = DB::transaction(function () use ($data): User {
            $user = User::query()->create($data);
            $user->homes()->create(['name' => 'My home']);

            return $user;
        });
        Auth::guard('web')->login($user, true);
        $request->session()->regenerate();

        return response()->json(self::described($user), 201);
    }

    public function password(Request $request): Response
    {
        $this->refuseDemo($request, 'The demo’s password stays as it is. Make an account of your own.');
        $data = $request->validate([
            'current_password' => ['bail', 'required', 'string', 'current_password:web'],
            'password' => ['required', 'string', 'max:200', Password::defaults()],
        ], ['current_password.current_password' => 'That is not the password you sign in with now.']);
        $user = $this->person($request);
        $user->update(['password' => $data['password']]);
        Auth::guard('web')->login($user, true);

        return response()->noContent();
    }

    public function destroy(Request $request): Response
    {
        $this->refuseDemo($request, 'The demo account stays; its data is put back with ./incastro reset-demo.');
        $request->validate(['password' => ['bail', 'required', 'string', 'current_password:web']], ['password.current_password' => 'That is not your password. Nothing was deleted.']);
        $user = $this->person($request);
        Auth::guard('web')->logout();
        $user->delete();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }

    /** @return array{name: string, email: string, is_demo: bool} */
    public static function described(User $user): array
    {
        return ['name' => $user->name, 'email' => $user->email, 'is_demo' => (bool) $user->is_demo];
    }

    private function refuseDemo(Request $request, string $message): void
    {
        if ($this->person($request)->is_demo) {
            throw ValidationException::withMessages(['password' => $message]);
        }
    }
}
