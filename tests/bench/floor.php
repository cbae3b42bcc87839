<?php

declare(strict_types=1);

use App\Http\Controllers\Reply;
use App\Http\Middleware\Once;
use App\Models\Machine;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Route;

/*
 * Floors for the benchmarks: the same way in as everything else, and as little as can be done there. They stand only
 * where the benchmarks run.
 */
Route::middleware(['auth', 'company'])->group(function (): void {
    Route::get('nothing', fn (): JsonResponse => Reply::with(new stdClass()));
    Route::post('nothing', fn (): JsonResponse => Reply::with(new stdClass()));
    Route::get('machines/{machine}/nothing', fn (Machine $machine): JsonResponse => Reply::with(new stdClass()));
    Route::middleware(['whose', Once::class])->group(function (): void {
        Route::post('machines/{machine}/nothing', function (Machine $machine, ConnectionInterface $db): JsonResponse {
            $db->table('floor_rows')->insert(['company_id' => $machine->company_id, 'machine_id' => $machine->id, 'created_at' => now()]);

            return Reply::with(new stdClass(), 201);
        })->middleware('role:record');
    });
});
