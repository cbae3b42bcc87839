<?php

declare(strict_types=1);

namespace IronStart\Core\Plan;

/** Where on the van things stand together. */
enum BringGroup: string
{
    case Safety = 'safety';
    case Meters = 'meters';
    case Refrigerant = 'refrigerant';
    case Tools = 'tools';
    case Parts = 'parts';
    case Papers = 'papers';
}
