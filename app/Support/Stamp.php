<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\User;
use Carbon\CarbonImmutable;

/** Who wrote an entry, on what device, when by that device's clock, when by it the entry was sent, and when it arrived. */
final readonly class Stamp
{
    public function __construct(
        public User $person,
        public string $device,
        public CarbonImmutable $deviceAt,
        public CarbonImmutable $arrivedAt,
        public ?CarbonImmutable $sentAt = null,
    ) {
    }
}
