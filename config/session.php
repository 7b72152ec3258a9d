<?php

declare(strict_types=1);

return [
    // Minutes after which a device that was not used must sign in again.
    'lifetime' => (int) env('SESSION_LIFETIME', 43_200),
    // Over HTTPS alone, the name itself forbids browsers to take the cookie from anywhere but this host.
    'cookie' => env('SESSION_COOKIE', env('SESSION_SECURE_COOKIE') === true ? '__Host-incastro-session' : 'incastro_session'),
];
