<?php

declare(strict_types=1);

return [
    'driver' => 'database',
    'lifetime' => 60 * 24 * 7,
    'expire_on_close' => false,
    'encrypt' => false,
    'table' => 'sessions',
    'lottery' => [2, 1000],
    'cookie' => 'iron_start',
    'path' => '/',
    'domain' => null,
    'secure' => env('SESSION_SECURE', false),
    'http_only' => true,
    'same_site' => 'lax',
];
