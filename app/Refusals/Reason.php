<?php

declare(strict_types=1);

namespace App\Refusals;

/** Why something was not done. How that goes out over HTTP is the edge's business. */
enum Reason: string
{
    case BadInput = 'bad-input';
    case NotFound = 'not-found';
    case NotSignedIn = 'not-signed-in';
    case WrongSignIn = 'wrong-sign-in';
    case TooOften = 'too-often';
    case StaleSession = 'stale-session';
    case NotYours = 'not-yours';
    case OtherPerson = 'other-person';
    case NotReady = 'not-ready';
    case AlreadyDone = 'already-done';
    case TooLarge = 'too-large';
    case NoRoom = 'no-room';
    case LinkGone = 'link-gone';
    case RowsWrong = 'rows-wrong';
    case KeyUsed = 'key-used';
    case Broken = 'broken';
    case Away = 'away';
    case Refused = 'refused';
}
