<?php

declare(strict_types=1);

namespace App\Actions\Planted;

use App\Http\DeviceHeaders;

/** An action that reaches to the edge on purpose, so that the rule is known to bite. */
final class ActionThatKnowsHttp
{
    public function __construct(public readonly DeviceHeaders $reached)
    {
    }
}
