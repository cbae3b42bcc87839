<?php

declare(strict_types=1);

namespace IronStart\Core\Clock;

/**
 * Where an entry stands in a machine's time, whatever the clock of the device it was written on says.
 *
 * Source: the order of time of the gates. All moments are milliseconds since 1970-01-01T00:00:00Z.
 */
final readonly class Place
{
    private function __construct(
        /** The moment the entry stands at. */
        public int $at,
        /** What was added to the device's time to get there. */
        public int $correction,
    ) {
    }

    /**
     * The device's time, put right by how far its clock was off when it sent: never later than the entry arrived,
     * never before the entry the device wrote before it.
     *
     * @param int|null $sent the device's clock at sending; null where it was not told: then only the arrival is known
     * @param int|null $before the place of the device's entry before it on this machine
     */
    public static function of(int $written, ?int $sent, int $arrived, ?int $before): self
    {
        $at = $sent === null ? $arrived : min($arrived, max($written + ($arrived - $sent), $before ?? PHP_INT_MIN));

        return new self($at, $at - $written);
    }
}
