<?php

declare(strict_types=1);

namespace IronStart\Core\Numeric;

/** A root was looked for where there may be none. */
final class NoBracket extends \DomainException
{
}
