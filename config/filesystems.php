<?php

declare(strict_types=1);

return [
    // Nothing on this disk is for the web.
    'disks' => ['local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false, 'throw' => true]],
];
