<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Mail\Letter;
use App\Models\Fact;
use App\Models\Home;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Mail;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class AccountTest extends TestCase
{
    private const NEW = ['name' => 'Ada', 'email' => 'Ada@Example.org', 'password' => 'a long password'];

    public function test_a_person_registers_signs_out_and_in_again(): void
    {
        $this->postJson('/api/account', self::NEW)->assertCreated()->assertJson(['email' => 'ada@example.org']);
        $this->getJson('/api/homes')->assertOk()->assertJsonPath('0.name', 'My home');
        $this->deleteJson('/api/session')->assertNoContent();
        $this->app['auth']->forgetGuards();
        $this->getJson('/api/homes')->assertUnauthorized();
        $this->postJson('/api/session', ['email' => 'ada@example.org', 'password' => 'a long password'])->assertOk();
        $this->getJson('/api/session')->assertJsonPath('user.name', 'Ada');
    }

    /** @return list<array{string, bool}> a password, and whether it is taken */
    public static function passwords(): array
    {
        return [
            ['elevensigns', false], ['aaaaaaaaaaaa', false], ['123456789012', false], ['Password12345', false], ['p4ssw0rd2026!', false],
            ['qwertyuiop[]', false], ['qwertyuiopas', false], ['abcabcabcabc', false], ['Ada@Example1', false], ['ada-ada-ada-ada', false],
            ['oak tape lintel', true], [str_repeat('four words apart ', 8), true],
        ];
    }

    #[DataProvider('passwords')]
    public function test_a_password_is_long_and_not_among_those_tried_first(string $password, bool $isTaken): void
    {
        $answer = $this->postJson('/api/account', ['password' => $password, 'email' => 'ada@example.org', 'name' => 'Ada@Example'] + self::NEW);
        $isTaken ? $answer->assertCreated() : $answer->assertJsonValidationErrors('password');
    }

    public function test_every_sign_of_a_long_password_counts(): void
    {
        $long = str_repeat('four words apart ', 6);
        $this->postJson('/api/account', ['password' => $long.'a'] + self::NEW)->assertCreated();
        $this->deleteJson('/api/session');
        $this->app['auth']->forgetGuards();
        $this->postJson('/api/session', ['email' => 'ada@example.org', 'password' => $long.'b'])->assertUnprocessable();
        $this->postJson('/api/session', ['email' => 'ada@example.org', 'password' => $long.'a'])->assertOk();
    }

    public function test_a_hash_from_before_verifies_and_is_renewed(): void
    {
        $user = $this->person();
        DB::table('users')->update(['password' => password_hash('ten signs!', PASSWORD_BCRYPT, ['cost' => 4])]);
        $this->postJson('/api/session', ['email' => 'one@example.org', 'password' => 'ten signs?'])->assertUnprocessable();
        $this->postJson('/api/session', ['email' => 'one@example.org', 'password' => 'ten signs!'])->assertOk();
        self::assertStringStartsWith('$argon2id$', $user->refresh()->password);
        $this->getJson('/api/homes')->assertOk();
    }

    public function test_without_letters_a_printed_code_is_the_way_back_once(): void
    {
        $code = $this->postJson('/api/account', self::NEW)->assertCreated()->json('recovery_code');
        self::assertMatchesRegularExpression('/^([0-9a-z]{4}-){4}[0-9a-z]{4}$/', $code);
        $this->deleteJson('/api/session');
        $this->app['auth']->forgetGuards();
        $back = ['email' => 'ada@example.org', 'password' => 'quite another one'];
        $this->postJson('/api/account/recovery', $back + ['code' => 'zzzz-zzzz-zzzz-zzzz-zzzz'])->assertJsonValidationErrors(['code' => 'E-mail and code do not belong together.']);
        // Read from paper, a zero may be an o, and capitals are no matter.
        $new = $this->postJson('/api/account/recovery', $back + ['code' => str_replace('0', 'O', strtoupper(str_replace('-', ' ', $code)))])->assertOk()->json('recovery_code');
        self::assertNotSame($code, $new);
        $this->getJson('/api/homes')->assertOk();
        $this->postJson('/api/account/recovery', $back + ['code' => $code])->assertUnprocessable();
        $this->postJson('/api/account/recovery-code', ['password' => 'wrong'])->assertUnprocessable();
        self::assertNotSame($new, $this->postJson('/api/account/recovery-code', ['password' => 'quite another one'])->assertOk()->json('recovery_code'));
    }

    public function test_with_letters_registering_tells_nobody_who_has_an_account(): void
    {
        config(['incastro.mail' => true]);
        Mail::fake();
        $this->person('bea@example.org');
        $fresh = $this->postJson('/api/account', self::NEW)->assertStatus(202)->json('message');
        $known = $this->postJson('/api/account', ['email' => 'bea@example.org'] + self::NEW)->assertStatus(202)->json('message');
        self::assertSame(str_replace('ada@', 'bea@', $fresh), $known);
        self::assertSame(1, User::query()->count());
        $letter = $this->letterTo('ada@example.org');
        self::assertStringContainsString('You have one already', $this->letterTo('bea@example.org'));
        $token = urldecode((string) str($letter)->match('/#token=(\S+)/'));
        $this->postJson('/api/account/confirmation', ['token' => substr($token, 2)])->assertJsonValidationErrors('token');
        $this->postJson('/api/account/confirmation', ['token' => $token])->assertCreated()->assertJsonPath('email', 'ada@example.org')->assertJsonMissing(['recovery_code']);
        $this->getJson('/api/homes')->assertJsonPath('0.name', 'My home');
        $this->postJson('/api/account/confirmation', ['token' => $token])->assertJsonValidationErrors('email');
        $this->travel(25)->hours();
        $this->postJson('/api/account/confirmation', ['token' => $token])->assertJsonValidationErrors('token');
    }

    public function test_a_forgotten_password_comes_back_by_letter(): void
    {
        $this->postJson('/api/account/forgotten', ['email' => 'one@example.org'])->assertNotFound();
        config(['incastro.mail' => true]);
        Mail::fake();
        $this->person();
        $said = $this->postJson('/api/account/forgotten', ['email' => 'One@example.org'])->assertStatus(202)->json('message');
        self::assertSame(str_replace('one@', 'two@', $said), $this->postJson('/api/account/forgotten', ['email' => 'two@example.org'])->assertStatus(202)->json('message'));
        Mail::assertQueuedCount(1);
        $token = (string) str($this->letterTo('one@example.org'))->match('/#token=(\w+)/');
        $new = ['email' => 'one@example.org', 'password' => 'quite another one'];
        $this->postJson('/api/account/reset', $new + ['token' => 'no such'])->assertJsonValidationErrors('token');
        $this->postJson('/api/account/reset', $new + ['token' => $token])->assertOk()->assertJsonPath('name', 'Somebody');
        self::assertStringContainsString('was changed a moment ago', $this->letterTo('one@example.org'));
        $this->postJson('/api/account/reset', $new + ['token' => $token])->assertJsonValidationErrors('token');
    }

    /** The text of the newest letter to an address. */
    private function letterTo(string $email): string
    {
        $letters = Mail::queued(Letter::class, fn (Letter $letter) => $letter->hasTo($email));

        return (string) $letters->last()?->render();
    }

    public function test_devices_are_seen_and_signed_out(): void
    {
        $user = $this->person();
        $row = fn (string $id, string $agent) => ['id' => $id, 'user_id' => $user->id, 'ip_address' => '192.0.2.7', 'user_agent' => $agent, 'payload' => '', 'last_activity' => time()];
        DB::table('sessions')->insert([$row('one', 'Mozilla/5.0 (Android 14; Mobile) Firefox/130'), $row('two', 'curl/8'), ['user_id' => $this->person('two@example.org')->id] + $row('three', '')]);
        $this->postJson('/api/session', ['email' => 'one@example.org', 'password' => 'a long password'])->assertOk();
        $devices = collect($this->getJson('/api/account/devices')->assertOk()->assertJsonCount(3)->json());
        // Two programs: one of the rows, and this test itself.
        self::assertSame(['A program', 'A program', 'Firefox on Android'], $devices->where('is_this', false)->pluck('device')->sort()->values()->all());
        $this->deleteJson('/api/account/devices', ['id' => $devices->firstWhere('device', 'Firefox on Android')['id']])->assertNoContent();
        self::assertSame(['three', 'two'], DB::table('sessions')->whereIn('id', ['one', 'two', 'three'])->orderBy('id')->pluck('id')->all());
        $this->deleteJson('/api/account/devices', ['id' => null])->assertNoContent();
        self::assertSame(['three'], DB::table('sessions')->whereIn('id', ['one', 'two', 'three'])->pluck('id')->all());
        $this->getJson('/api/homes')->assertOk();
    }

    public function test_after_some_months_the_password_is_asked_for_again(): void
    {
        $this->person();
        $this->postJson('/api/session', ['email' => 'one@example.org', 'password' => 'a long password'])->assertOk();
        $this->getJson('/api/homes')->assertOk();
        $this->withSession(['signed_in_at' => time() - 91 * 86_400])->getJson('/api/homes')->assertUnauthorized();
    }

    public function test_a_failed_sign_in_is_written_down_without_the_address(): void
    {
        Log::spy();
        $this->postJson('/api/session', ['email' => 'ada@example.org', 'password' => 'wrong'])->assertUnprocessable();
        Log::shouldHaveReceived('warning')->withArgs(fn (string $said, array $with) => $said === 'A sign-in failed.' && strlen($with['account']) === 12 && ! str_contains(serialize($with), 'ada@'));
    }

    public function test_one_account_is_not_guessed_at_from_many_addresses(): void
    {
        $tries = fn (int $from, int $to) => array_map(fn (int $i) => $this->withServerVariables(['REMOTE_ADDR' => "192.0.2.$i"])->postJson('/api/session', ['email' => 'ada@example.org', 'password' => "guess $i"])->status(), range($from, $to));
        self::assertSame([422], array_values(array_unique($tries(1, 30))));
        self::assertSame([429], array_values(array_unique($tries(31, 33))));
    }

    public function test_bad_accounts_are_refused_at_their_field(): void
    {
        $this->person('ada@example.org');
        $this->postJson('/api/account', self::NEW)->assertUnprocessable()->assertJsonPath('errors.email.0', 'There is an account with this e-mail already. Sign in instead.');
        $this->postJson('/api/account', ['password' => 'short'] + self::NEW)->assertUnprocessable()->assertJsonValidationErrors('password');
        $this->postJson('/api/session', ['email' => 'ada@example.org', 'password' => 'wrong'])->assertUnprocessable()->assertJsonValidationErrors('email');
    }

    public function test_guessing_passwords_is_slowed_down(): void
    {
        for ($i = 0; $i < 5; $i++) {
            $this->postJson('/api/session', ['email' => 'ada@example.org', 'password' => "guess $i"])->assertUnprocessable();
        }
        $this->postJson('/api/session', ['email' => 'ada@example.org', 'password' => 'guess'])->assertTooManyRequests();
        $this->postJson('/api/session', ['email' => 'bea@example.org', 'password' => 'guess'])->assertUnprocessable();
    }

    public function test_the_password_changes_only_with_the_old_one(): void
    {
        $this->actingAs($this->person());
        $this->putJson('/api/account/password', ['current_password' => 'wrong', 'password' => 'another long one'])->assertUnprocessable()->assertJsonValidationErrors('current_password');
        $this->putJson('/api/account/password', ['current_password' => 'a long password', 'password' => 'another long one'])->assertNoContent();
        $this->postJson('/api/session', ['email' => 'one@example.org', 'password' => 'another long one'])->assertOk();
    }

    public function test_an_account_goes_with_everything_in_it_and_nothing_else(): void
    {
        $other = $this->person('other@example.org');
        $this->alcove($other);
        $user = $this->person();
        $this->alcove($user);
        $this->actingAs($user)->deleteJson('/api/account', ['password' => 'wrong'])->assertUnprocessable();
        self::assertSame(2, Home::query()->count());
        $this->deleteJson('/api/account', ['password' => 'a long password'])->assertNoContent();
        self::assertSame([$other->id], User::query()->pluck('id')->all());
        self::assertSame([$other->id], Home::query()->pluck('user_id')->all());
        self::assertSame([$other->id], Fact::query()->distinct()->pluck('user_id')->all());
    }

    public function test_the_demo_opens_with_one_press_and_keeps_its_account(): void
    {
        $this->demo();
        $this->getJson('/api/session')->assertJson(['demo' => true, 'user' => null]);
        $this->postJson('/api/session/demo')->assertOk();
        $this->getJson('/api/homes')->assertJsonPath('0.jobs.0.name', 'Landing alcove')->assertJsonPath('0.jobs.0.verdict.state', 'fits');
        $this->deleteJson('/api/account', ['password' => config('incastro.demo_password')])->assertUnprocessable();
        config(['incastro.demo' => false]);
        $this->postJson('/api/session/demo')->assertNotFound();
    }

    public function test_resetting_the_demo_touches_nobody_else(): void
    {
        $demo = $this->demo();
        $job = $this->alcove($this->person());
        $demo->homes()->firstOrFail()->jobs()->delete();
        $this->artisan('incastro:demo')->assertSuccessful();
        self::assertSame(5, $demo->homes()->firstOrFail()->jobs()->count());
        self::assertModelExists($job);
        // Seeding leaves an application in use alone.
        $demo->homes()->delete();
        $this->artisan('incastro:demo --if-empty')->assertSuccessful();
        self::assertSame(0, $demo->homes()->count());
    }
}
