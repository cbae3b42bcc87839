<?php

declare(strict_types=1);

return [
    // The companies' own keys, outside the database. Whoever backs up the database backs these up beside it.
    'keys' => env('IRON_START_KEYS', dirname(storage_path()) . '/keys'),
    // Mail, if there is a program for it: "/usr/sbin/sendmail -t -i". Without, links are handed over by hand.
    'sendmail' => env('IRON_START_SENDMAIL', ''),
    'mail_from' => env('IRON_START_MAIL_FROM', 'iron-start@localhost'),
    // The role the application runs under in the database; the owner of the tables gives it its rights.
    'app_role' => env('IRON_START_APP_ROLE', 'ironstart_app'),
    // Whether the demo is what this instance is for: only then is one press a sign-in.
    'demo' => (bool) env('IRON_START_DEMO', false),
    // The names this instance answers to, besides those of this machine itself: "start.example.com roof.example.com".
    'hosts' => array_values(array_filter(explode(' ', (string) env('IRON_START_HOSTS', '')))),
    // Which program this is; kept with the rest of the configuration.
    'build' => App\Support\Build::mark(dirname(__DIR__)),
    // Where a VRF system's controller answers by line ("127.0.0.1:4711"); without one its display is typed.
    'controller' => env('IRON_START_CONTROLLER', ''),
    // Pictures, outside what the web server serves.
    'photos' => env('IRON_START_PHOTOS', storage_path('photos')),
];
