<?php

declare(strict_types=1);

namespace App\Support;

/** Which program this is: what was worked out by another one is worked out anew. */
final class Build
{
    private const WORKS_OUT = ['core/src', 'core/phrases', 'core/data', 'app/Queries'];

    /** A mark that changes with any file that has a part in judging gates and putting them into words. */
    public static function mark(string $root): string
    {
        $files = [];
        foreach (self::WORKS_OUT as $folder) {
            /** @var \SplFileInfo $file */
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("$root/$folder", \FilesystemIterator::SKIP_DOTS)) as $file) {
                $files[] = substr($file->getPathname(), strlen($root)) . " {$file->getSize()} {$file->getMTime()}";
            }
        }
        sort($files);

        return md5(implode("\n", $files));
    }
}
