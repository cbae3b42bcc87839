<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\PutBack;

use IronStart\Core\PutBack\PutBackKind as Kind;
use PHPUnit\Framework\TestCase;

final class PutBackKindTest extends TestCase
{
    /** What each kind holds, and the minutes it may stand: as the rules of the put-back list have them. */
    private const TABLE = [
        'lock' => [[8], null], 'detector' => [[], 60], 'alarm_panel' => [[], 480], 'alarm_sensor' => [[11], 60],
        'safety_bypassed' => [[8], 15], 'contactor_held' => [[8], 15], 'monitor_lead' => [[8], 30], 'sensor_plug' => [[8], 30],
        'valve_shut' => [[8, 9], null], 'valves_open' => [[8, 9], null], 'cores_out' => [[6, 8], null], 'bulb_off' => [[8, 9], null],
        'heat_sink' => [[5, 8], null], 'plastics_away' => [[8], null], 'wire_freed' => [[8], null], 'panel_off' => [[8], null],
        'controller_test' => [[], 240], 'circuit_open' => [[6, 8], 15], 'cylinder_warmed' => [[], 30], 'regulator_open' => [[6, 8], 30],
        'hose_filled' => [[], 30], 'roof_door' => [[], 240], 'breaker_elsewhere' => [[], 240], 'damper_blocked' => [[10], 240],
        'refrigerant_moved' => [[8, 9], null], 'disconnect_pulled' => [[8], null], 'drier_spacer' => [[6, 8], null],
        'occupants_without' => [[], 240], 'damper_propped' => [[10], 240], 'thermostat_held' => [[], 240], 'automation_held' => [[], 240],
        'service_mode' => [[6, 8], null], 'held_valve' => [[6, 8], null],
    ];

    public function testEachKindHoldsAndNagsAsTheTableSays(): void
    {
        $table = [];
        foreach (Kind::cases() as $kind) {
            $table[$kind->value] = [$kind->shuts(), $kind->limitMinutes()];
        }
        self::assertEqualsCanonicalizing(array_keys(self::TABLE), array_keys($table));
        foreach (self::TABLE as $kind => $row) {
            self::assertSame($row, $table[$kind], $kind);
        }
    }

    public function testWhatNagsHasALimitAndABypassedSafetyTheShortest(): void
    {
        $limits = array_filter(array_map(fn (Kind $k): ?int => $k->limitMinutes(), Kind::cases()));
        self::assertSame(min($limits), Kind::SafetyBypassed->limitMinutes());
        self::assertSame([8], Kind::SafetyBypassed->shuts());
        self::assertSame([Kind::Lock, Kind::ServiceMode, Kind::HeldValve], array_values(array_filter(Kind::cases(), fn (Kind $k): bool => ! $k->isOpenedByHand())));
    }
}
