<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use App\Refusals\Refusal;
use App\Support\Stamp;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;

/** What the device says with every write: its own id and time, and whose the write is. */
final class DeviceHeaders
{
    private const ISO = '/^(\d{4})-(\d\d)-(\d\d)T([01]\d|2[0-3]):[0-5]\d:[0-5]\d(?:\.\d{1,6})?(?:Z|[+-](?:0\d|1[0-4]):[0-5]\d)$/D';
    /** A clock that lost its battery begins in 1970; none runs beyond this. */
    private const YEARS = [1970, 2199];

    public static function device(Request $request): string
    {
        $device = $request->header('X-Device', '');

        return is_string($device) && preg_match('/^[A-Za-z0-9._-]{0,64}$/', $device) === 1
            ? $device
            : throw Refusal::field('X-Device', $device, 'at most 64 letters, digits, dots, dashes or underscores');
    }

    /** X-Person: the id of whoever wrote this. */
    public static function writer(Request $request): int
    {
        $person = $request->header('X-Person');

        return is_string($person) && preg_match('/^[1-9]\d{0,17}$/', $person) === 1
            ? (int) $person
            : throw Refusal::field('X-Person', $person, 'the id of the person who writes, as the session tells it');
    }

    /**
     * X-Device-Time is when it was written and X-Device-Sent when it was sent, both by the device's own clock.
     *
     * @throws Refusal when one of them is not an ISO date-time with its zone
     */
    public static function stamp(Request $request): Stamp
    {
        $person = $request->user();
        if (! $person instanceof User) {
            throw Refusal::notSignedIn();
        }
        $now = CarbonImmutable::now();

        return new Stamp($person, self::device($request), self::moment($request, 'X-Device-Time') ?? $now, $now, self::moment($request, 'X-Device-Sent'));
    }

    private static function moment(Request $request, string $header): ?CarbonImmutable
    {
        $at = $request->header($header);
        if ($at === null) {
            return null;
        }
        if (! is_string($at) || preg_match(self::ISO, $at, $parts) !== 1 || ! checkdate((int) $parts[2], (int) $parts[3], (int) $parts[1])
            || (int) $parts[1] < self::YEARS[0] || (int) $parts[1] > self::YEARS[1]) {
            throw Refusal::field($header, $at, 'a date and time with its zone, such as 2026-05-04T09:30:00Z');
        }

        return CarbonImmutable::parse($at);
    }
}
