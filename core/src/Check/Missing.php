<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

use IronStart\Core\Verdict\Finding;

/** Findings for what is still to be read. */
final class Missing
{
    /** @return list<Finding> one for each needed reading that was not given */
    public static function in(Input $in): array
    {
        return array_map(self::at(...), $in->missing);
    }

    public static function at(string $path): Finding
    {
        return Finding::open("missing:$path", ['path' => $path]);
    }
}
