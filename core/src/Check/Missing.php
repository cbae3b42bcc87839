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
        return array_map(fn (string $path): Finding => self::at($path, self::itemOf($in, $path)), $in->missing);
    }

    /** @param string $of the name of the list item it is missing in, '' where it is in none */
    public static function at(string $path, string $of = '', ?string $labelled = null): Finding
    {
        return Finding::open("missing:$path", ['path' => $labelled ?? $path, 'of' => $of]);
    }

    private static function itemOf(Input $in, string $path): string
    {
        return preg_match('/^([a-z_]+)\.(\d+)\./', $path, $m) === 1 ? ($in->items($m[1])[(int) $m[2]] ?? null)?->text('name') ?? '' : '';
    }
}
