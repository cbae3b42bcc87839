<?php

declare(strict_types=1);

namespace IronStart\Core\PutBack;

/**
 * What can be done to a building or a machine that must be undone before leaving: which gates it holds until then,
 * and how long it may stand before it nags. Hand over is held by every one of them.
 *
 * The rule: what would hurt somebody, the machine or the circuit at the start holds Run; what makes a reading
 * worthless holds that reading's gate.
 */
enum PutBackKind: string
{
    case Lock = 'lock';
    case Detector = 'detector';
    case AlarmPanel = 'alarm_panel';
    case AlarmSensor = 'alarm_sensor';
    case SafetyBypassed = 'safety_bypassed';
    case ContactorHeld = 'contactor_held';
    case MonitorLead = 'monitor_lead';
    case SensorPlug = 'sensor_plug';
    case ValveShut = 'valve_shut';
    case ValvesOpen = 'valves_open';
    case CoresOut = 'cores_out';
    case BulbOff = 'bulb_off';
    case HeatSink = 'heat_sink';
    case PlasticsAway = 'plastics_away';
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
    case DisconnectPulled = 'disconnect_pulled';
    case DrierSpacer = 'drier_spacer';
    case OccupantsWithout = 'occupants_without';
    case DamperPropped = 'damper_propped';
    case ThermostatHeld = 'thermostat_held';
    case AutomationHeld = 'automation_held';
    case ServiceMode = 'service_mode';
    case HeldValve = 'held_valve';

    /** @return list<int> gates held until it is put back */
    public function shuts(): array
    {
        return match ($this) {
            self::Lock, self::SafetyBypassed, self::ContactorHeld, self::MonitorLead, self::SensorPlug, self::PlasticsAway,
            self::WireFreed, self::PanelOff, self::DisconnectPulled => [8],
            self::ValveShut, self::ValvesOpen, self::BulbOff, self::RefrigerantMoved => [8, 9],
            self::CoresOut, self::CircuitOpen, self::RegulatorOpen, self::DrierSpacer, self::ServiceMode, self::HeldValve => [6, 8],
            self::HeatSink => [5, 8],
            self::DamperBlocked, self::DamperPropped => [10],
            self::AlarmSensor => [11],
            default => [],
        };
    }

    /** @return int|null minutes it may stand; null where it may stand until the work is done */
    public function limitMinutes(): ?int
    {
        return match ($this) {
            self::SafetyBypassed, self::ContactorHeld, self::CircuitOpen => 15,
            self::MonitorLead, self::SensorPlug, self::CylinderWarmed, self::RegulatorOpen, self::HoseFilled => 30,
            self::Detector, self::AlarmSensor => 60,
            self::ControllerTest, self::RoofDoor, self::BreakerElsewhere, self::DamperBlocked, self::DamperPropped,
            self::OccupantsWithout, self::ThermostatHeld, self::AutomationHeld => 240,
            self::AlarmPanel => 480,
            default => null,
        };
    }

    /** A lock's entry is opened by the lockout that proves it, a service mode's by its own entry, never by hand. */
    public function isOpenedByHand(): bool
    {
        return ! in_array($this, [self::Lock, self::ServiceMode, self::HeldValve], true);
    }
}
