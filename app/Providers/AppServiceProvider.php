<?php

declare(strict_types=1);

namespace App\Providers;

use App\Auth\QuietSessions;
use App\Auth\UncommonPassword;
use App\Photos\DatabaseDisk;
use App\Planning\DatabaseMemory;
use Illuminate\Auth\Events\Failed;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\DatabaseManager;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Filesystem\FilesystemAdapter;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use Illuminate\Validation\Rules\Password;
use Incastro\Planning\StageMemory;
use League\Flysystem\Filesystem;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(StageMemory::class, DatabaseMemory::class);
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->isProduction());
        Password::defaults(fn () => Password::min(12)->max(200)->rules([new UncommonPassword()]));
        Storage::extend('database', function (Application $app, array $config): FilesystemAdapter {
            $disk = new DatabaseDisk($app->make(DatabaseManager::class)->connection());

            return new FilesystemAdapter(new Filesystem($disk, $config), $disk, $config);
        });
        Session::extend('database', fn (Application $app) => new QuietSessions($app->make(DatabaseManager::class)->connection(config('session.connection')), config('session.table'), config('session.lifetime'), $app));
        // Addresses without a host: whatever a request calls this host, the page asks its own for its scripts.
        Vite::createAssetPathsUsing(fn (string $path) => '/'.ltrim($path, '/'));
        $this->limits();
        // The address is a hash: whoever reads the log sees which tries belong together, and nobody's name.
        Event::listen(fn (Failed $failed) => Log::warning('A sign-in failed.', ['account' => substr(hash_hmac('sha256', (string) ($failed->credentials['email'] ?? ''), (string) config('app.key')), 0, 12), 'ip' => request()->ip()]));
    }

    private function limits(): void
    {
        $email = fn (Request $request): string => is_string($request->input('email')) ? mb_strtolower(trim($request->input('email'))) : '';
        RateLimiter::for('sign-in', fn (Request $request) => [
            Limit::perMinute(5)->by($email($request).'|'.$request->ip()),
            Limit::perMinute(config('incastro.sign_ins_per_minute'))->by('address|'.$request->ip()),
            Limit::perHour(30)->by('account|'.($email($request) ?: $request->ip())),
        ]);
        RateLimiter::for('register', fn (Request $request) => Limit::perHour(config('incastro.registrations_per_hour'))->by($request->ip()));
        RateLimiter::for('person', fn (Request $request) => Limit::perMinute(config('incastro.requests_per_minute'))->by((string) $request->user()?->getAuthIdentifier()));
        RateLimiter::for('costly', fn (Request $request) => Limit::perMinute(20)->by((string) $request->user()?->getAuthIdentifier()));
    }
}
