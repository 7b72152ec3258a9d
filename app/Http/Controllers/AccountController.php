<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Auth\RecoveryCode;
use App\Mail\Letter;
use App\Models\User;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\Rules\Password;
use Illuminate\Validation\ValidationException;

/** A person's account: made, given another password, deleted with everything in it. */
final class AccountController extends Controller
{
    private const TAKEN = 'There is an account with this e-mail already. Sign in instead.';

    /** Hours for which the letter that makes an account can be opened. */
    private const WELCOME_HOURS = 24;

    /**
     * Where letters are sent, an account is made by opening the letter, and the answer tells nobody whether there was one. Where none
     * are, it is made at once, with a code to come back by.
     */
    public function store(Request $request): JsonResponse
    {
        $this->refuseStrangers($request);
        $request->merge(is_string($request->input('email')) ? ['email' => mb_strtolower(trim($request->input('email')))] : []);
        $data = $request->validate([
            'name' => self::nameRules(),
            'email' => ['bail', 'required', 'string', 'not_regex:/\p{C}/u', 'email:rfc', 'max:190'],
            'password' => ['bail', 'required', 'string', Password::defaults()],
        ], ['email.not_regex' => 'The e-mail holds a character that no address has.']);
        $data['password'] = Hash::make($data['password']);
        if (config('incastro.mail') === true) {
            $letter = User::query()->where('email', $data['email'])->exists() ? Letter::alreadyHere() : Letter::welcome(Crypt::encrypt($data + ['until' => now()->addHours(self::WELCOME_HOURS)->getTimestamp()]));
            $letter->sendTo($data['email']);

            return response()->json(['message' => sprintf('A letter is on its way to %s. Open its link, and you are in.', $data['email'])], 202);
        }

        return $this->made($request, ['name' => $data['name'], 'email' => $data['email'], 'password' => $data['password']]);
    }

    /** The link of the letter was opened. */
    public function confirm(Request $request): JsonResponse
    {
        $this->refuseStrangers($request);
        ['token' => $token] = $request->validate(['token' => ['required', 'string', 'max:4000']]);
        try {
            $data = Crypt::decrypt($token);
        } catch (DecryptException) {
            $data = null;
        }
        if (! is_array($data) || $data['until'] < now()->getTimestamp()) {
            throw ValidationException::withMessages(['token' => 'This link is not whole, or older than a day. Ask for an account once more.']);
        }

        return $this->made($request, ['name' => $data['name'], 'email' => $data['email'], 'password' => $data['password']]);
    }

    public function password(Request $request): Response
    {
        $this->refuseDemo($request, 'The demo’s password stays as it is. Make an account of your own.');
        $user = $this->person($request);
        $data = $request->merge(['name' => $user->name, 'email' => $user->email])->validate([
            'current_password' => ['bail', 'required', 'string', 'current_password:web'],
            'password' => ['bail', 'required', 'string', Password::defaults()],
        ], ['current_password.current_password' => 'That is not the password you sign in with now.']);
        $user->update(['password' => $data['password']]);
        Letter::passwordChanged()->sendTo($user->email);
        $user->endSessions(but: $request->session()->getId());
        Auth::guard('web')->login($user);

        return response()->noContent();
    }

    public function destroy(Request $request): Response
    {
        $this->refuseDemo($request, 'The demo account stays; its data is put back with ./incastro reset-demo.');
        $request->validate(['password' => ['bail', 'required', 'string', 'current_password:web']], ['password.current_password' => 'That is not your password. Nothing was deleted.']);
        $user = $this->person($request);
        $user->endSessions();
        $answer = $this->signedOut($request);
        // What one did not lock first may be in another's hands: a deadlock is tried again.
        DB::transaction(fn () => $user->delete(), attempts: 3);

        return $answer;
    }

    /** @return array{name: string, email: string, is_demo: bool, has_code: bool} */
    public static function described(User $user): array
    {
        return ['name' => $user->name, 'email' => $user->email, 'is_demo' => $user->is_demo, 'has_code' => $user->recovery_code !== null];
    }

    /** @param array{name: string, email: string, password: string} $data */
    private function made(Request $request, array $data): JsonResponse
    {
        try {
            $user = DB::transaction(function () use ($data): User {
                $user = User::query()->create($data);
                $user->homes()->create(['name' => 'My home']);

                return $user;
            });
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['email' => self::TAKEN]);
        }
        Auth::guard('web')->login($user);

        return $this->begun($request, 201, config('incastro.mail') === true ? [] : ['recovery_code' => RecoveryCode::make($user)]);
    }

    private function refuseDemo(Request $request, string $message): void
    {
        if ($this->person($request)->is_demo) {
            throw ValidationException::withMessages(['password' => $message]);
        }
    }
}
