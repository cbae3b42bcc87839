<?php

declare(strict_types=1);

namespace IronStart\Core\Clock;

use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Status;

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
    case RegistrationDue = 'registration_due';

    /** A warranty is registered within the days of the sheet; a clock runs for a year at most. */
    public const LONGEST_MINUTES = 527_040;

    private const MINUTES_A_DAY = 1_440;
    private const MINUTES_AN_HOUR = 60;

    /** @return int minutes it runs when nobody says how many */
    public function minutes(): int
    {
        return match ($this) {
            self::PressureHold, self::WarmUp => self::MINUTES_A_DAY,
            self::Decay => 10,
            self::Stabilise, self::SystemOpen => 15,
            self::FireWatch, self::DetectorCovered => 60,
            self::CommissioningRun => 120,
            self::RegistrationDue => 60 * self::MINUTES_A_DAY,
        };
    }

    /** The clock of what a check waits for; null for a check that waits for nothing. */
    public static function of(string $check): ?self
    {
        return match ($check) {
            'tight.hold' => self::PressureHold,
            'dry.decay' => self::Decay,
            'vrf.warm_up' => self::WarmUp,
            'vrf.commission' => self::CommissioningRun,
            'refrigerant.rebound', 'charge.state', 'charge.trim', 'air.split', 'air.flow', 'air.static', 'heat.rise', 'heat.gas_pressure', 'heat.gas_rate', 'heat.electric' => self::Stabilise,
            default => null,
        };
    }

    /** The clocks a reading ends: those of its own check, and after a start the settling that the amps wait for. */
    public static function readBy(string $check): ?self
    {
        return $check === 'power.running_amps' ? self::Stabilise : self::of($check);
    }

    /** @return int|null whole minutes an unfinished check still waits, rounded up; null where it does not say */
    public static function wait(Judgement $judgement): ?int
    {
        if ($judgement->status !== Status::Open) {
            return null;
        }
        foreach (['time_left', 'remaining'] as $name) {
            $value = $judgement->values[$name] ?? null;
            if ($value !== null && is_numeric($value->value) && $value->value > 0) {
                return max(1, (int) ceil((float) $value->value * ($value->unit === 'h' ? self::MINUTES_AN_HOUR : 1)));
            }
        }

        return null;
    }

    public static function days(int $days): int
    {
        return $days * self::MINUTES_A_DAY;
    }
}
