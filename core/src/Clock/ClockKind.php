<?php

declare(strict_types=1);

namespace IronStart\Core\Clock;

/** What is waited for on a job, and how long each takes unless somebody says otherwise. */
enum ClockKind: string
{
    case PressureHold = 'pressure_hold';
    case Decay = 'decay';
    case Stabilise = 'stabilise';
    case WarmUp = 'warm_up';
    case FireWatch = 'fire_watch';
    case DetectorCovered = 'detector_covered';
    case SystemOpen = 'system_open';
    case CommissioningRun = 'commissioning_run';
    /** From the compressor's start to where the gauge stands still. */
    case PumpDown = 'pump_down';
    /** Below 0 psig: a scroll is no vacuum pump. */
    case PumpDownVacuum = 'pump_down_vacuum';
    /** From a compressor's stop to where it may be started again; each has its own. */
    case Rest = 'rest';
    case RegistrationDue = 'registration_due';

    /** A warranty is registered within the days of the sheet; a clock runs for a year at most. */
    public const LONGEST_MINUTES = 527_040;

    private const MINUTES_A_DAY = 1_440;

    /** @return int minutes it runs when nobody says how many */
    public function minutes(): int
    {
        return match ($this) {
            self::PressureHold, self::WarmUp => self::MINUTES_A_DAY,
            self::Decay => 10,
            self::Stabilise, self::SystemOpen, self::PumpDown => 15,
            self::PumpDownVacuum => 1,
            self::Rest => 3,
            self::FireWatch, self::DetectorCovered => 60,
            self::CommissioningRun => 120,
            self::RegistrationDue => 60 * self::MINUTES_A_DAY,
        };
    }

    public static function days(int $days): int
    {
        return $days * self::MINUTES_A_DAY;
    }
}
