<?php

declare(strict_types=1);

namespace IronStart\Core;

use IronStart\Core\Check\Bench;
use IronStart\Core\Check\Registry;
use IronStart\Core\Wording\Phrases;
use IronStart\Core\Wording\Speaker;

/** Puts the parts together as they are shipped. */
final class Core
{
    public static function bench(string $language = 'en'): Bench
    {
        return new Bench(new Registry(), new Speaker(Phrases::shipped($language)));
    }
}
