<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// Every address of the interface is the same page; the way through it is the browser's.
Route::view('/{any?}', 'app')->where('any', '^(?!api/|build/).*$');
