<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;

/** Answers in JSON as the API writes it. */
final class Reply
{
    private const JSON = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION;

    public static function with(mixed $body, int $status = 200): JsonResponse
    {
        return new JsonResponse($body, $status, [], self::JSON);
    }
}
