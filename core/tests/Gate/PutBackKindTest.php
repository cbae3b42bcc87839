<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Gate;

use IronStart\Core\PutBack\PutBackKind as Kind;
use IronStart\Core\Verdict\Status;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PutBackKindTest extends TestCase
{
    /** @return iterable<string, array{string, Status, list<string>, list<Kind>}> */
    public static function checks(): iterable
    {
        yield 'purge with its preparations' => ['piping.purge', Status::Clear, ['putback:cores_out', 'putback:heat_sinks', 'clear'], [Kind::CoresOut, Kind::HeatSink, Kind::CircuitOpen]];
        yield 'bulb off' => ['piping.purge', Status::Watch, ['putback:bulb_off'], [Kind::BulbOff, Kind::CircuitOpen]];
        yield 'pump-down' => ['refrigerant.way_out', Status::Clear, ['pump_down'], [Kind::ValveShut, Kind::SafetyBypassed, Kind::CircuitOpen]];
        yield 'recovery' => ['refrigerant.way_out', Status::Clear, ['recover', 'acid'], [Kind::CircuitOpen]];
        yield 'first fire with the detectors isolated' => ['heat.rise', Status::Open, ['wait', 'putback:detectors'], [Kind::Detector]];
        yield 'commissioning under way' => ['vrf.commission', Status::Open, [], [Kind::ControllerTest]];
        yield 'commissioning done' => ['vrf.commission', Status::Clear, ['script_done'], []];
        yield 'settings not as they are left' => ['controls.settings', Status::Watch, [], [Kind::ControllerTest]];
        yield 'nothing' => ['power.voltage', Status::Stop, ['phase_lost'], []];
    }

    /**
     * @param list<string> $codes
     * @param list<Kind> $opened
     */
    #[DataProvider('checks')]
    public function testWhatACheckLeavesToBePutBack(string $check, Status $status, array $codes, array $opened): void
    {
        self::assertSame($opened, Kind::openedBy($check, $status, $codes));
    }

    public function testWhatACheckProvesToBeBack(): void
    {
        self::assertSame([Kind::PanelOff], Kind::provedBy('list.prestart', Status::Open, ['doors_on' => 'yes']));
        self::assertSame([], Kind::provedBy('list.prestart', Status::Clear, ['doors_on' => 'no']));
        self::assertSame([Kind::ControllerTest], Kind::provedBy('controls.settings', Status::Clear, []));
        self::assertSame([], Kind::provedBy('controls.settings', Status::Watch, []));
        self::assertSame([Kind::CircuitOpen], Kind::provedBy('tight.hold', Status::Open, []));
    }

    public function testWhatNagsHasALimitAndABypassedSafetyTheShortest(): void
    {
        $limits = array_filter(array_map(fn (Kind $k): ?int => $k->limitMinutes(), Kind::cases()));
        self::assertSame(min($limits), Kind::SafetyBypassed->limitMinutes());
        self::assertSame([8], Kind::SafetyBypassed->shuts());
        self::assertFalse(Kind::Lock->isOpenedByHand());
    }
}
