<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Refusals\Refusal;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets through those whose role has the right named in the route. */
final class RequireRole
{
    public function handle(Request $request, Closure $next, string $right): Response
    {
        $person = $request->user();
        if (! $person instanceof User || ! $person->role->may($right)) {
            throw Refusal::notYours();
        }

        return $next($request);
    }
}
