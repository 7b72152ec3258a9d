<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Fact;
use App\Models\Home;
use App\Models\User;
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
