<?php

declare(strict_types=1);

namespace IronStart\Core\Survey;

use IronStart\Core\Check\Past;

/** What the curb was found to need, as far as later checks of the survey count with it. */
final class CurbAdapter
{
    /** @return array<string, mixed> the adapter's weight, under the name those checks have for it */
    public static function in(Past $past, string $subject): array
    {
        $adapter = $past->last('survey.curb_fit', $subject)['input']['adapter'] ?? null;

        return is_array($adapter) && isset($adapter['weight']) ? ['adapter' => $adapter['weight']] : [];
    }
}
