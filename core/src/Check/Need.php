<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

/** What it means when a field is not given. */
enum Need: string
{
    /** Nothing, or its default is taken. */
    case Optional = 'optional';
    /** A reading that is still to be taken: the verdict is open. */
    case Needed = 'needed';
    /** A name or kind without which the rest means nothing: an input error. */
    case Structural = 'structural';
}
