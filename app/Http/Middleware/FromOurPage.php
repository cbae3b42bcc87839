<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Refusals\Refusal;
use Closure;
use Illuminate\Foundation\Http\Middleware\VerifyCsrfToken;

/**
 * A write proves that it comes from our own page: by the session's token, and before anybody is signed in by where the
 * browser says it comes from. What is no browser says nothing of it, and is nobody's page.
 */
final class FromOurPage extends VerifyCsrfToken
{
    public function handle($request, Closure $next)
    {
        if ($this->isReading($request) || KeepSession::isSignedIn($request)) {
            return parent::handle($request, $next);
        }
        $origin = $request->header('Origin');
        $site = $request->header('Sec-Fetch-Site', 'same-origin');
        // By name and port: a server in front of us may speak TLS for us.
        if (($origin !== null && preg_replace('#^https?://#', '', (string) $origin) !== $request->getHttpHost()) || ! in_array($site, ['same-origin', 'none'], true)) {
            throw Refusal::foreignPage();
        }
        $response = $next($request);

        return KeepSession::isSignedIn($request) ? $this->addCookieToResponse($request, $response) : $response;
    }
}
