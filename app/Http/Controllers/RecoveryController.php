<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Auth\RecoveryCode;
use App\Mail\Letter;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Password as Broker;
use Illuminate\Validation\Rules\Password;
use Illuminate\Validation\ValidationException;

/** The ways back into an account whose password is forgotten: by a letter, or by the code that was printed. */
final class RecoveryController extends Controller
{
    /** Asks for a letter; the answer is the same whether there is an account or not. */
    public function forgotten(Request $request): JsonResponse
    {
        abort_unless(config('incastro.mail') === true, 404, 'No letters are sent from here. Use your recovery code.');
        $this->refuseStrangers($request);
        $data = $request->validate(['email' => ['bail', 'required', 'string', 'email', 'max:190']]);
        $email = mb_strtolower(trim($data['email']));
        if (User::query()->where('email', $email)->where('is_demo', true)->doesntExist()) {
            Broker::sendResetLink(['email' => $email]);
        }

        return response()->json(['message' => sprintf('If there is an account with %s, a letter is on its way. Its link is good for an hour.', $email)], 202);
    }

    /** The link of the letter was opened, and a password chosen. */
    public function reset(Request $request): JsonResponse
    {
        $this->refuseStrangers($request);
        $data = $request->validate(['email' => ['bail', 'required', 'string', 'max:190'], 'token' => ['required', 'string', 'max:200'], 'password' => ['bail', 'required', 'string', Password::defaults()]]);
        $status = Broker::reset($data, fn (User $user) => $this->renewed($user, $data['password']));
        if ($status !== Broker::PASSWORD_RESET) {
            throw ValidationException::withMessages(['token' => 'This link is not whole, used already, or older than an hour. Ask for another letter.']);
        }

        return $this->begun($request);
    }

    /** The printed code, and a password chosen; the code is used up, and a new one comes with the answer. */
    public function recover(Request $request): JsonResponse
    {
        $this->refuseStrangers($request);
        $data = $request->validate(['email' => ['bail', 'required', 'string', 'max:190'], 'code' => ['required', 'string', 'max:60'], 'password' => ['bail', 'required', 'string', Password::defaults()]]);
        $user = User::query()->where('email', mb_strtolower(trim($data['email'])))->first();
        if ($user === null || ! RecoveryCode::opens($user, $data['code'])) {
            throw ValidationException::withMessages(['code' => 'E-mail and code do not belong together. The code has 20 signs, in five groups.']);
        }
        $this->renewed($user, $data['password']);

        return $this->begun($request, 200, ['recovery_code' => RecoveryCode::make($user)]);
    }

    /** A new code in place of the one there was. */
    public function code(Request $request): JsonResponse
    {
        $user = $this->person($request);
        if ($user->is_demo) {
            throw ValidationException::withMessages(['password' => 'The demo needs no code: it opens with one press.']);
        }
        $request->validate(['password' => ['bail', 'required', 'string', 'current_password:web']], ['password.current_password' => 'That is not your password. The code there was stays.']);

        return response()->json(['recovery_code' => RecoveryCode::make($user)]);
    }

    /** Another password: whoever was signed in with the old one is so no more. */
    private function renewed(User $user, string $password): void
    {
        $user->update(['password' => $password]);
        $user->endSessions();
        Letter::passwordChanged()->sendTo($user->email);
        Auth::guard('web')->login($user);
    }
}
