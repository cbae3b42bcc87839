<?php

declare(strict_types=1);

return [
    'driver' => 'database',
    'lifetime' => 60 * 24 * 7,
    'expire_on_close' => false,
    'encrypt' => false,
    'table' => 'sessions',
    // Old sessions are swept by the scheduler, not by whoever happens to come.
    'lottery' => [0, 1],
    'cookie' => 'iron_start',
    'path' => '/',
    'domain' => null,
    'secure' => env('SESSION_SECURE', false),
    'http_only' => true,
    'same_site' => 'lax',
];
