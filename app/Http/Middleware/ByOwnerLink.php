<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Machine;
use App\Models\OwnerLink;
use App\Refusals\Refusal;
use App\Support\CurrentCompany;
use App\Support\Token;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets in whoever holds a link to one record, to read that one, until the link ends or is withdrawn. */
final class ByOwnerLink
{
    public function __construct(private readonly CurrentCompany $current)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $text = $request->route('token');
        $token = (is_string($text) ? Token::read($text) : null) ?? throw Refusal::linkGone();
        $this->current->set($token->company);
        $link = OwnerLink::query()->where('token_hash', $token->hash())->first();
        if ($link === null || $link->withdrawn_at !== null || $link->expires_at->isPast()) {
            throw Refusal::linkGone();
        }
        // A picture is looked at within the record: it does not open it.
        if ($link->opened_at === null && $request->route('at') === null) {
            $link->forceFill(['opened_at' => CarbonImmutable::now()])->save();
        }
        $request->attributes->set('machine', Machine::query()->with('job.site', 'sheet')->findOrFail($link->machine_id));
        $response = $next($request);
        $response->headers->set('X-Robots-Tag', 'noindex, nofollow');
        $response->headers->set('Cache-Control', 'private, no-store');
        $response->headers->set('Referrer-Policy', 'no-referrer');

        return $response;
    }
}
