<?php

declare(strict_types=1);

/*
 * The guide's pictures from those of the README: narrower, and small enough to go along inside the application. A
 * picture that only the guide shows lies in var/guide.
 */
$root = dirname(__DIR__, 2);
$width = 960;
$quality = 72;
$from = [
    'today' => 'today', 'survey' => 'machine-survey', 'out' => 'machine-out', 'set' => 'set', 'pipe' => 'machine-pipe', 'tight' => 'machine-tight', 'dry' => 'machine-dry',
    'power' => 'machine-power', 'run' => 'machine-first-run', 'charge' => 'machine-charge', 'air' => 'machine-air', 'controls' => 'machine-controls', 'handover' => 'handover',
];
foreach ($from as $to => $name) {
    $file = array_values(array_filter(["$root/var/guide/$name.png", "$root/docs/screenshots/$name.png"], is_file(...)))[0] ?? null;
    $picture = $file === null ? false : imagecreatefrompng($file);
    if ($picture === false) {
        fwrite(STDERR, "There is no picture of $name: take the README's first.\n");
        exit(1);
    }
    $small = imagescale($picture, $width, -1, IMG_BICUBIC);
    if ($small === false || ! imagewebp($small, "$root/docs/guide/pictures/$to.webp", $quality)) {
        exit(1);
    }
}
