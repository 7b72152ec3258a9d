<?php

declare(strict_types=1);

return [
    // Whether the sign-in page offers the demo account. Off on a real host.
    'demo' => (bool) env('INCASTRO_DEMO', false),
    'demo_email' => 'demo@ferrymans-cottage.example',
    'demo_password' => env('INCASTRO_DEMO_PASSWORD', 'oar-and-ferry'),
    // New accounts from one address in an hour.
    'registrations_per_hour' => (int) env('INCASTRO_REGISTRATIONS_PER_HOUR', 20),
];
