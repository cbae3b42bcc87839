<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use OpenApi\Attributes as OA;

#[OA\Info(version: '1', title: 'Iron Start', description: 'What the screens speak with the server. Errors are problem documents (RFC 9457).')]
final class ApiInfo
{
}
