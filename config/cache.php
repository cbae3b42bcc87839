<?php

declare(strict_types=1);

return [
    'default' => 'database',
    'stores' => [
        'database' => ['driver' => 'database', 'table' => 'cache', 'connection' => null, 'lock_table' => 'cache_locks'],
        'array' => ['driver' => 'array'],
        // What a sheet comes to: worked out once for each content and each version of the program.
        'sheets' => ['driver' => 'file', 'path' => storage_path('framework/cache')],
    ],
    'prefix' => 'iron_start_',
];
