<?php

declare(strict_types=1);

return [
    // Counts a password whole, however long. Hashes of before (bcrypt) are read, and made anew when somebody signs in.
    'driver' => 'argon2id',
    'argon' => [
        // OWASP Password Storage Cheat Sheet: 19 MiB, two rounds, one lane.
        'memory' => (int) env('PASSWORD_MEMORY', 19_456),
        'time' => 2,
        'threads' => 1,
        'verify' => false,
    ],
    'rehash_on_login' => true,
];
