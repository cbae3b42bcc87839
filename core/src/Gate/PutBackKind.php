<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Verdict\Status;

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

    /**
     * What a recorded check leaves to be put back, besides the lock of a lockout.
     *
     * @param list<string> $codes of its verdict
     * @return list<self>
     */
    public static function openedBy(string $check, Status $status, array $codes): array
    {
        $kinds = [];
        foreach ($codes as $code) {
            $kinds[] = match ($code) {
                'putback:cores_out' => self::CoresOut,
                'putback:bulb_off' => self::BulbOff,
                'putback:heat_sinks' => self::HeatSink,
                'putback:detectors' => self::Detector,
                default => null,
            };
        }
        array_push($kinds, ...match (true) {
            // A pump-down ends at a shut liquid valve, with the low-pressure switch held.
            $check === 'refrigerant.way_out' && in_array('pump_down', $codes, true) => [self::ValveShut, self::SafetyBypassed, self::CircuitOpen],
            $check === 'refrigerant.way_out' && in_array('recover', $codes, true), $check === 'piping.purge' => [self::CircuitOpen],
            $check === 'vrf.commission' && ! in_array('script_done', $codes, true), $check === 'controls.settings' && $status !== Status::Clear => [self::ControllerTest],
            default => [],
        });

        return array_values(array_filter($kinds, fn (?self $kind): bool => $kind !== null));
    }

    /**
     * What a recorded check proves to be back, without anybody's word.
     *
     * @param array<string, mixed> $answers of a list, by item
     * @return list<self>
     */
    public static function provedBy(string $check, Status $status, array $answers): array
    {
        return match (true) {
            $check === 'list.prestart' && ($answers['doors_on'] ?? '') === 'yes' => [self::PanelOff],
            $check === 'controls.settings' && $status === Status::Clear => [self::ControllerTest],
            // Under nitrogen it drinks no water.
            $check === 'tight.hold' => [self::CircuitOpen],
            default => [],
        };
    }

    /** A lock's entry is opened by the lockout that proves it, never by hand. */
    public function isOpenedByHand(): bool
    {
        return $this !== self::Lock;
    }
}
