<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** The kinds of job; which gates apply follows from it. */
enum JobType: string
{
    case Rooftop = 'rooftop';
    case Condensing = 'condensing';
    case Compressor = 'compressor';
    case Vrf = 'vrf';

    /** @return list<string> */
    public static function words(): array
    {
        return array_map(fn (self $type): string => $type->value, self::cases());
    }
}
