<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\DeviceHeaders;
use App\Models\User;
use App\Refusals\Refusal;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Every write says whose it is. A page that was left open while somebody else signed in, or what waited on a shared
 * device, is not taken under another name.
 */
final class Whose
{
    public function handle(Request $request, Closure $next): Response
    {
        $signedIn = $request->user();
        $writer = DeviceHeaders::writer($request);
        if ($signedIn instanceof User && $writer !== $signedIn->id) {
            $other = User::query()->where('company_id', $signedIn->company_id)->whereKey($writer)->value('name');
            throw Refusal::ofSomebodyElse(is_string($other) ? $other : '', $signedIn->name);
        }

        return $next($request);
    }
}
