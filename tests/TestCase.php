<?php

declare(strict_types=1);

namespace Tests;

use App\Demo\Demo;
use App\Models\Home;
use App\Models\Job;
use App\Models\Space;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Testing\TestResponse;

/** A feature test: the API on real PostgreSQL, asked as the application's own pages ask it. */
abstract class TestCase extends LaravelTestCase
{
    use RefreshDatabase;

    public function createApplication(): Application
    {
        $app = require __DIR__.'/../bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->withHeader('Origin', config('app.url'));
    }

    protected function person(string $email = 'one@example.org'): User
    {
        return User::query()->create(['name' => 'Somebody', 'email' => $email, 'password' => 'a long password']);
    }

    /** Another person takes the place of whoever was signed in. */
    protected function as(User $user): static
    {
        $this->flushSession();
        $this->app['auth']->forgetGuards();

        return $this->actingAs($user);
    }

    /** The demo's landing alcove, in a home of the given person. */
    protected function alcove(User $user): Job
    {
        $home = $user->homes()->create(['name' => 'Home']);
        $this->app->make(\App\Exchange\JobPorter::class)->import($home, $user, (string) file_get_contents(base_path('tests/examples/landing-alcove-without-doors.json')));

        return $home->jobs()->with('spaces')->firstOrFail();
    }

    protected function space(Job $job): Space
    {
        return $job->spaces->firstOrFail();
    }

    protected function demo(): User
    {
        return $this->app->make(Demo::class)->make();
    }

    /**
     * @param  array<string, mixed>  $extra
     * @return array<string, mixed>
     */
    protected function take(string $slot, string $text, ?string $end = null, array $extra = []): array
    {
        static $sequence = 0;

        return $extra + [
            'id' => (string) str()->uuid(), 'device' => '0b8f1f4e-3f0e-4c59-9d0c-0e5a3c8a2b11', 'sequence' => ++$sequence,
            'kind' => 'take', 'taken_at' => '2026-03-15T10:00:00Z', 'slot' => $slot, 'text' => $text, 'end' => $end,
        ];
    }

    /** @return array<string, mixed> */
    protected function withdrawal(string $of): array
    {
        return ['kind' => 'withdrawal', 'withdraws' => $of] + $this->take('', '');
    }

    /** The length of a piece's size in mm, from the Pieces station. */
    protected function pieceSize(TestResponse $answer, string $mark, string $size = 'length'): float
    {
        foreach ($answer->json('station.spaces.0.pieces') as $piece) {
            if ($piece['mark'] === $mark) {
                return $piece[$size]['nm'] / 1e6;
            }
        }
        self::fail("There is no piece $mark.");
    }

    protected function home(User $user): Home
    {
        return $user->homes()->create(['name' => 'Home']);
    }
}
