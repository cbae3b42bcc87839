<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

/** How a load turns, as far as the evidence goes. */
enum Turning
{
    case Correct;
    case Backwards;
    case Unknown;
}
