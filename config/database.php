<?php

declare(strict_types=1);

return [
    'default' => 'pgsql',
    'connections' => [
        'pgsql' => [
            'driver' => 'pgsql',
            'url' => env('DATABASE_URL'),
            'charset' => 'utf8',
            'prefix' => '',
            'search_path' => 'public',
            'sslmode' => env('DATABASE_SSLMODE', 'prefer'),
            'options' => [
                // A new connection costs more than most requests.
                PDO::ATTR_PERSISTENT => (bool) env('DATABASE_PERSISTENT', true),
                // One round trip a query instead of two.
                PDO::PGSQL_ATTR_DISABLE_PREPARES => true,
            ],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
