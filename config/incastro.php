<?php

declare(strict_types=1);

// The log is no mailer.
$sendsLetters = ! in_array(env('MAIL_MAILER', 'log'), ['log', 'array'], true);

return [
    // Whether the sign-in page offers the demo account. Off on a real host.
    'demo' => (bool) env('INCASTRO_DEMO', false),
    'demo_email' => 'demo@ferrymans-cottage.example',
    'demo_password' => env('INCASTRO_DEMO_PASSWORD', 'oar-and-ferry'),
    // Whether letters reach anybody.
    'mail' => $sendsLetters,
    // New accounts from one address in an hour. Where no letter is sent, registering tells whether there is an account: then few.
    'registrations_per_hour' => (int) (env('INCASTRO_REGISTRATIONS_PER_HOUR') ?: ($sendsLetters ? 20 : 5)),
    // Sign-ins from one address in a minute: many people may share one.
    'sign_ins_per_minute' => (int) env('INCASTRO_SIGN_INS_PER_MINUTE', 30),
    // Requests of one person in a minute.
    'requests_per_minute' => (int) env('INCASTRO_REQUESTS_PER_MINUTE', 300),
    // Whether a better plan of sheets is looked for, once somebody looks at one; for how long is each job's choice.
    'improves' => (bool) env('INCASTRO_IMPROVES', true),
    // Address of a price service (docs/prices.md); none is asked where it is empty.
    'prices' => rtrim((string) env('INCASTRO_PRICES', ''), '/'),
    // The disk on which photos lie, and bytes that those of one job and of one home may take.
    'photos' => env('INCASTRO_PHOTOS', 'database'),
    'photo_bytes_job' => (int) env('INCASTRO_PHOTO_BYTES_JOB', 500 * 1024 * 1024),
    'photo_bytes_home' => (int) env('INCASTRO_PHOTO_BYTES_HOME', 2048 * 1024 * 1024),
    // Days for which what was taken out can be put back.
    'put_back_days' => 30,
    // Days for which a remembered stage that nobody reads is kept, and bytes that all of them may take.
    'remembered_days' => 14,
    'remembered_bytes' => 200 * 1024 * 1024,
    // Days after which somebody who stays signed in is asked for the password again.
    'signed_in_days' => 90,
];
