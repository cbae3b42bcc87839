<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/**
 * What can be done to a building or a machine that must be undone before leaving: which gates it holds shut
 * until then, and how long it may stand before it nags. Hand over is held by every one of them.
 */
enum PutBackKind: string
{
    case Lock = 'lock';
    case Detector = 'detector';
    case AlarmPanel = 'alarm_panel';
    case SafetyBypassed = 'safety_bypassed';
    case ContactorHeld = 'contactor_held';
    case ValveShut = 'valve_shut';
    case CoresOut = 'cores_out';
    case BulbOff = 'bulb_off';
    case HeatSink = 'heat_sink';
    case WireFreed = 'wire_freed';
    case PanelOff = 'panel_off';
    case ControllerTest = 'controller_test';
    case CircuitOpen = 'circuit_open';
    case CylinderWarmed = 'cylinder_warmed';
    case RegulatorOpen = 'regulator_open';
    case HoseFilled = 'hose_filled';
    case RoofDoor = 'roof_door';
    case BreakerElsewhere = 'breaker_elsewhere';
    case DamperBlocked = 'damper_blocked';
    case RefrigerantMoved = 'refrigerant_moved';

    /** @return list<int> gates held shut until it is put back */
    public function shuts(): array
    {
        return match ($this) {
            self::Lock, self::SafetyBypassed, self::ContactorHeld, self::WireFreed, self::PanelOff => [8],
            self::ValveShut, self::BulbOff => [8, 9],
            self::CoresOut => [6, 8],
            self::HeatSink => [5],
            self::DamperBlocked => [10],
            self::RefrigerantMoved => [9],
            default => [],
        };
    }

    /** @return int|null minutes it may stand; null where it may stand until the work is done */
    public function limitMinutes(): ?int
    {
        return match ($this) {
            self::SafetyBypassed, self::ContactorHeld, self::CircuitOpen => 15,
            self::CylinderWarmed, self::RegulatorOpen, self::HoseFilled => 30,
            self::Detector => 60,
            self::ControllerTest, self::RoofDoor, self::BreakerElsewhere, self::DamperBlocked => 240,
            self::AlarmPanel => 480,
            default => null,
        };
    }

    /** A lock's entry is opened by the lockout that proves it, never by hand. */
    public function isOpenedByHand(): bool
    {
        return $this !== self::Lock;
    }
}
