<?php

declare(strict_types=1);

return [
    'default' => 'database',
    'stores' => [
        'database' => ['driver' => 'database', 'table' => 'cache', 'connection' => null, 'lock_table' => 'cache_locks'],
        'array' => ['driver' => 'array'],
    ],
    'prefix' => 'iron_start_',
];
