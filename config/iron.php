<?php

declare(strict_types=1);

return [
    // The companies' own keys, outside the database. Whoever backs up the database backs these up beside it.
    'keys' => env('IRON_START_KEYS', dirname(storage_path()) . '/keys'),
    // Pictures, outside what the web server serves.
    'photos' => env('IRON_START_PHOTOS', storage_path('photos')),
];
