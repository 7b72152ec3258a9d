<?php

declare(strict_types=1);

return [
    // Argon2id reads a password to its end, where bcrypt stops after 72 bytes. Its costs are those that OWASP's Password Storage Cheat
    // Sheet gives as the least, doubled in memory. Hashes of bcrypt that exist still verify, and are renewed when their owner signs in.
    'driver' => 'argon2id',
    'argon' => ['memory' => (int) env('ARGON_MEMORY', 38_912), 'threads' => 1, 'time' => (int) env('ARGON_TIME', 2), 'verify' => false],
];
