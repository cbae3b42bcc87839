<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Sessions\SignIn;
use App\Models\User;
use App\Refusals\Refusal;
use App\Support\CurrentCompany;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** From here on only the data of the signed-in person's company is to be found. */
final class AsCompany
{
    public function __construct(private readonly CurrentCompany $current)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $person = $request->user();
        if ($person instanceof User && SignIn::isOver($request, $person)) {
            throw Refusal::notSignedIn();
        }
        $this->current->set($person instanceof User ? $person->company_id : null);

        return $next($request);
    }
}
