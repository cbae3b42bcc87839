<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Auth\SessionGuard;
use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** A session is kept for whoever is signed in. Visitors leave nothing behind. */
final class KeepSession extends StartSession
{
    protected function saveSession($request): void
    {
        if (self::isSignedIn($request)) {
            parent::saveSession($request);
        }
    }

    protected function addCookieToResponse(Response $response, Session $session): void
    {
        if ($session->has(self::key())) {
            parent::addCookieToResponse($response, $session);
        }
    }

    /** @phpstan-impure somebody may have signed in meanwhile */
    public static function isSignedIn(Request $request): bool
    {
        return $request->hasSession() && $request->session()->has(self::key());
    }

    /** Under which the session keeps who is signed in. */
    private static function key(): string
    {
        $guard = Auth::guard('web');

        return $guard instanceof SessionGuard ? $guard->getName() : throw new \LogicException('The guard keeps no session.');
    }
}
