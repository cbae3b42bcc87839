<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schedule;

// A key that came once is remembered for thirty days; no device holds a write back longer.
Schedule::call(fn () => DB::table('idempotency_keys')->where('created_at', '<', now()->subDays(30))->delete())->daily()->name('sweep-idempotency-keys');

Schedule::call(fn () => DB::table('sessions')->where('last_activity', '<', now()->subMinutes((int) config('session.lifetime'))->getTimestamp())->delete())->hourly()->name('sweep-sessions');

Schedule::command('logs:rotate')->hourly()->name('rotate-logs');
