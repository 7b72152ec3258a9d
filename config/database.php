<?php

declare(strict_types=1);

return [
    'connections' => [
        'pgsql' => [
            'driver' => 'pgsql',
            'url' => env('DB_URL'),
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '5432'),
            'database' => env('DB_DATABASE', 'incastro'),
            'username' => env('DB_USERNAME', 'incastro'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8',
            'prefix' => '',
            'prefix_indexes' => true,
            'search_path' => 'public',
            'sslmode' => env('DB_SSLMODE', 'prefer'),
            // Signing in to the database costs more than most requests ask of it: a worker keeps its connection.
            'options' => [PDO::ATTR_PERSISTENT => (bool) env('DB_PERSISTENT', true)],
        ],
    ],
];
