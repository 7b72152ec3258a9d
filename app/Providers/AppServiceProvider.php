<?php

declare(strict_types=1);

namespace App\Providers;

use App\Planning\DatabaseMemory;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Illuminate\Validation\Rules\Password;
use Incastro\Planning\StageMemory;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(StageMemory::class, DatabaseMemory::class);
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->isProduction());
        Password::defaults(fn () => Password::min(10));
        RateLimiter::for('sign-in', fn (Request $request) => [
            Limit::perMinute(5)->by((is_string($request->input('email')) ? mb_strtolower($request->input('email')) : '').'|'.$request->ip()),
            Limit::perMinute(30)->by('sign-in|'.$request->ip()),
        ]);
        RateLimiter::for('register', fn (Request $request) => Limit::perHour(config('incastro.registrations_per_hour'))->by('register|'.$request->ip()));
    }
}
