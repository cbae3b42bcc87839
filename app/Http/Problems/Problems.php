<?php

declare(strict_types=1);

namespace App\Http\Problems;

use App\Refusals\Refusal;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use IronStart\Core\Check\InputError;
use IronStart\Core\Judge\UnknownCheck;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** Turns whatever goes wrong behind /api into a problem document. */
final class Problems
{
    private const JSON = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR;

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([Refusal::class, InputError::class, UnknownCheck::class]);
        $exceptions->render(function (\Throwable $error, Request $request): ?JsonResponse {
            if (! $request->is('api/*')) {
                return null;
            }
            $refused = self::of($error);
            $problem = $refused instanceof Problem ? $refused : Problem::of($refused);

            return new JsonResponse($problem->toArray(), $problem->status, ['Content-Type' => 'application/problem+json'], self::JSON);
        });
    }

    private static function of(\Throwable $error): Refusal|Problem
    {
        return match (true) {
            $error instanceof Refusal => $error,
            $error instanceof InputError => Refusal::badInput($error),
            $error instanceof UnknownCheck, $error instanceof ModelNotFoundException => Refusal::notFound(),
            $error instanceof AuthenticationException => Refusal::notSignedIn(),
            $error instanceof TokenMismatchException => Refusal::staleSession(),
            $error instanceof QueryException, $error instanceof \PDOException => self::database($error),
            $error instanceof HttpExceptionInterface => match ($error->getStatusCode()) {
                404 => Refusal::notFound(),
                419 => Refusal::staleSession(),
                429 => Refusal::tooOften((int) ($error->getHeaders()['Retry-After'] ?? 60)),
                default => Problem::other($error->getStatusCode(), $error->getMessage() ?: 'This can\'t be done here.'),
            },
            default => Refusal::broken(),
        };
    }

    /** A server that is away is told apart from a query that is wrong. */
    private static function database(\PDOException $error): Refusal
    {
        $state = (string) $error->getCode();
        // What no column takes is the request's fault, though nobody named the field.
        if (str_starts_with($state, '22')) {
            return Refusal::field('', null, 'values that can be kept: no NUL, no number or date out of all bounds');
        }
        $away = str_starts_with($state, '08') || str_starts_with($state, '57P') || in_array($state, ['7', 'HY000'], true);

        return $away ? Refusal::away() : Refusal::broken();
    }
}
