<?php

declare(strict_types=1);

use App\Http\Controllers\JudgeController;
use App\Http\Controllers\MachineController;
use App\Http\Controllers\RecordController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\TodayController;
use App\Http\Middleware\Once;
use Illuminate\Support\Facades\Route;

Route::get('session', [SessionController::class, 'show']);
Route::post('session', [SessionController::class, 'store']);
Route::post('session/demo', [SessionController::class, 'demo']);

Route::middleware(['auth', 'company'])->group(function (): void {
    Route::delete('session', [SessionController::class, 'destroy']);
    Route::patch('me', [SessionController::class, 'prefer']);
    Route::get('checks', [JudgeController::class, 'index']);
    Route::post('judge/{check}', [JudgeController::class, 'judge']);
    // A floor to measure against: the same way in, and nothing done.
    Route::post('nothing', [JudgeController::class, 'nothing']);
    Route::get('today', [TodayController::class, 'show']);
    Route::get('machines/{machine}', [MachineController::class, 'show'])->whereNumber('machine');
    Route::get('machines/{machine}/news', [MachineController::class, 'news'])->whereNumber('machine');
    Route::get('machines/{machine}/record', [RecordController::class, 'show'])->whereNumber('machine');
    Route::get('machines/{machine}/record.json', [RecordController::class, 'file'])->whereNumber('machine');
    Route::get('machines/{machine}/readings.csv', [RecordController::class, 'readings'])->whereNumber('machine');

    Route::middleware(Once::class)->whereNumber(['machine', 'putBack'])->group(function (): void {
        Route::post('machines/{machine}/checks/{check}', [MachineController::class, 'record'])->middleware('role:record');
        Route::post('machines/{machine}/notes', [MachineController::class, 'note'])->middleware('role:record');
        Route::post('machines/{machine}/suspects', [MachineController::class, 'suspect'])->middleware('role:doubt_own');
        Route::post('machines/{machine}/starts', [MachineController::class, 'start'])->middleware('role:start');
        Route::post('machines/{machine}/overrides', [MachineController::class, 'override'])->middleware('role:override');
        Route::post('machines/{machine}/put-back', [MachineController::class, 'openPutBack'])->middleware('role:record');
        Route::post('machines/{machine}/put-back/{putBack}/leave', [MachineController::class, 'leavePutBack'])->middleware('role:close_own_put_back');
        Route::post('machines/{machine}/put-back/{putBack}/close', [MachineController::class, 'closePutBack'])->middleware('role:close_own_put_back');
    });
});
