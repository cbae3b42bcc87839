<?php

declare(strict_types=1);

namespace IronStart\Core;

use IronStart\Core\Judge\Judge;
use IronStart\Core\Judge\Registry;
use IronStart\Core\Wording\Phrases;
use IronStart\Core\Wording\Speaker;

/** Puts the parts together as they are shipped. */
final class Core
{
    public static function judge(string $language = 'en'): Judge
    {
        return new Judge(new Registry(), new Speaker(Phrases::shipped($language)));
    }
}
