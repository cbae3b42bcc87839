<?php

declare(strict_types=1);

return [
    // The companies' own keys, outside the database. Whoever backs up the database backs these up beside it.
    'keys' => env('IRON_START_KEYS', dirname(storage_path()) . '/keys'),
    // Mail, if there is a program for it: "/usr/sbin/sendmail -t -i". Without, links are handed over by hand.
    'sendmail' => env('IRON_START_SENDMAIL', ''),
    'mail_from' => env('IRON_START_MAIL_FROM', 'iron-start@localhost'),
    // Pictures, outside what the web server serves.
    'photos' => env('IRON_START_PHOTOS', storage_path('photos')),
];
