<?php

declare(strict_types=1);

return [
    // Nothing on these disks is for the web. Photos lie in the database, so that any number of web servers share them.
    'disks' => [
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false, 'throw' => true],
        'database' => ['driver' => 'database', 'throw' => true],
    ],
];
