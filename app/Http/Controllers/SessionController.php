<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

/** Signing in and out, and the devices on which a person is signed in. */
final class SessionController extends Controller
{
    public function show(Request $request): JsonResponse
    {
        $user = $request->user();

        return response()->json([
            'demo' => config('incastro.demo') === true,
            'mail' => config('incastro.mail') === true,
            'user' => $user instanceof User ? AccountController::described($user) : null,
        ]);
    }

    public function store(Request $request): JsonResponse
    {
        $this->refuseStrangers($request);
        $credentials = $request->validate(['email' => ['required', 'string', 'max:190'], 'password' => ['required', 'string', 'max:1000']]);
        $email = mb_strtolower(trim($credentials['email']));
        if (! Auth::guard('web')->attempt(['email' => $email, 'password' => $credentials['password']])) {
            // An address that nobody has takes as long to refuse as one that somebody has.
            if (User::query()->where('email', $email)->doesntExist()) {
                Hash::make($credentials['password']);
            }
            throw ValidationException::withMessages(['email' => 'E-mail and password do not belong together. Check both; capital letters count in the password.']);
        }

        return $this->begun($request);
    }

    public function demo(Request $request): JsonResponse
    {
        abort_unless(config('incastro.demo') === true, 404);
        $this->refuseStrangers($request);
        Auth::guard('web')->login(User::query()->where('is_demo', true)->firstOrFail());

        return $this->begun($request);
    }

    public function destroy(Request $request): Response
    {
        return $this->signedOut($request);
    }

    /** The devices on which the person is signed in; their names are hashes, with which nobody could sign in. */
    public function devices(Request $request): JsonResponse
    {
        $own = hash('sha256', $request->session()->getId());
        $rows = DB::table('sessions')->where('user_id', $this->person($request)->id)->orderByDesc('last_activity')->get(['id', 'ip_address', 'user_agent', 'last_activity']);

        return response()->json($rows->map(fn (object $row) => [
            'id' => hash('sha256', $row->id),
            'device' => self::device((string) $row->user_agent),
            'address' => (string) $row->ip_address,
            'used_at' => Carbon::createFromTimestamp($row->last_activity)->toIso8601ZuluString(),
            'is_this' => hash('sha256', $row->id) === $own,
        ])->all());
    }

    /** Signs one other device out, or all others. */
    public function end(Request $request): Response
    {
        ['id' => $ended] = $request->validate(['id' => ['present', 'nullable', 'string', 'size:64']]);
        $ids = DB::table('sessions')->where('user_id', $this->person($request)->id)->where('id', '!=', $request->session()->getId())->pluck('id');
        DB::table('sessions')->whereIn('id', $ids->filter(fn (string $id) => $ended === null || hash('sha256', $id) === $ended)->all())->delete();

        return response()->noContent();
    }

    private static function device(string $agent): string
    {
        $first = function (array $names) use ($agent): ?string {
            foreach ($names as $sign => $name) {
                if (str_contains($agent, $sign)) {
                    return $name;
                }
            }

            return null;
        };
        $system = $first(['iPhone' => 'iPhone', 'iPad' => 'iPad', 'Android' => 'Android', 'Windows' => 'Windows', 'Mac OS' => 'Mac', 'Linux' => 'Linux']);
        $browser = $first(['Firefox' => 'Firefox', 'Edg/' => 'Edge', 'Chrom' => 'Chrome', 'Safari' => 'Safari']);

        return implode(' on ', array_filter([$browser, $system])) ?: 'A program';
    }
}
