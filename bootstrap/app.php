<?php

declare(strict_types=1);

use App\Http\Middleware\AsCompany;
use App\Http\Middleware\ByOwnerLink;
use App\Http\Middleware\FromOurPage;
use App\Http\Middleware\KeepSession;
use App\Http\Middleware\RequireRole;
use App\Http\Middleware\SafetyHeaders;
use App\Http\Middleware\Whose;
use App\Http\Problems\Problems;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;

$base = dirname(__DIR__);
// All state of one running instance lives in one folder, so that several can stand side by side.
$var = getenv('IRON_START_VAR') ?: "$base/var/app";

$app = Application::configure(basePath: $base)
    ->withRouting(web: "$base/routes/web.php", api: "$base/routes/api.php", commands: "$base/routes/console.php", apiPrefix: 'api/v1')
    ->withMiddleware(function (Middleware $middleware): void {
        // The application is same-origin: no other origin is answered.
        $middleware->remove(HandleCors::class);
        $middleware->append(SafetyHeaders::class);
        // The browser's session is the sign-in for the API too.
        $middleware->group('api', [
            Illuminate\Cookie\Middleware\EncryptCookies::class,
            Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse::class,
            KeepSession::class,
            FromOurPage::class,
            Illuminate\Routing\Middleware\SubstituteBindings::class,
        ]);
        // The page is the same for everybody: it needs no session, and a visitor leaves none.
        $middleware->group('web', []);
        $middleware->alias(['company' => AsCompany::class, 'role' => RequireRole::class, 'owner' => ByOwnerLink::class, 'whose' => Whose::class]);
        $middleware->priority([
            Illuminate\Cookie\Middleware\EncryptCookies::class,
            KeepSession::class,
            FromOurPage::class,
            Illuminate\Auth\Middleware\Authenticate::class,
            // Whoever guesses is slowed down before anything is looked up.
            Illuminate\Routing\Middleware\ThrottleRequests::class,
            AsCompany::class,
            Whose::class,
            ByOwnerLink::class,
            Illuminate\Routing\Middleware\SubstituteBindings::class,
            RequireRole::class,
        ]);
        $middleware->redirectGuestsTo('/');
    })
    ->withCommands(["$base/app/Console"])
    ->withExceptions(function (Exceptions $exceptions): void {
        Problems::register($exceptions);
    })
    ->create();

$app->useEnvironmentPath($var);
$app->useStoragePath("$var/storage");

return $app;
