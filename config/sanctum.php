<?php

declare(strict_types=1);

use Laravel\Sanctum\Http\Middleware\AuthenticateSession;
use Laravel\Sanctum\Sanctum;

return [
    // Only the application's own pages use the session cookie.
    'stateful' => array_filter(explode(',', (string) env('SANCTUM_STATEFUL_DOMAINS', ltrim(Sanctum::currentApplicationUrlWithPort(), ',')))),
    'guard' => ['web'],
    'expiration' => null,
    'token_prefix' => '',
    'middleware' => [
        'authenticate_session' => AuthenticateSession::class,
        'encrypt_cookies' => Illuminate\Cookie\Middleware\EncryptCookies::class,
        'validate_csrf_token' => Illuminate\Foundation\Http\Middleware\ValidateCsrfToken::class,
    ],
];
