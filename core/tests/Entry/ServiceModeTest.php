<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Entry;

use IronStart\Core\Check\Past;
use IronStart\Core\Core;
use IronStart\Core\Dry\Decay;
use IronStart\Core\Entry\BreakerTripped;
use IronStart\Core\Entry\ServiceMode;
use IronStart\Core\Power\Lockout;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\TestCase;

/** A module's valves are open as long as power is on without a break, and no longer. */
final class ServiceModeTest extends TestCase
{
    use Judges;

    private const ON = ['module' => 'M1', 'on' => true, 'held' => ['EEV 1', 'EEV 2'], 'power_since' => '2026-03-02T07:40:00'];
    private const DEAD = ['lock_id' => '7', 'tag_name' => 'R', 'tester_proved_before' => true, 'tester_proved_after' => true,
        'volts_ab' => '0 V', 'volts_bc' => '0 V', 'volts_ca' => '0 V', 'volts_ag' => '0 V', 'volts_bg' => '0 V', 'volts_cg' => '0 V'];

    public function testOnItIsAThingToPutBackAndWhatItHoldsIsOpen(): void
    {
        self::assertSame(['opens service_mode M1', 'closes held_valve M1 EEV 1', 'closes held_valve M1 EEV 2'], self::setsOff('entry.service_mode', self::ON));
        self::assertSame('M1 is in service mode, power on since 07:40. Held open: EEV 1, EEV 2.', Core::judge()->judge('entry.service_mode', self::ON, 'us')->headline);
    }

    public function testOffItIsPutBackAndLostEachValveIsToBeOpenedAnew(): void
    {
        $modes = self::modes(self::ON);
        $off = ['module' => 'M1', 'on' => false] + $modes;
        self::assertSame(['closes service_mode M1'], self::setsOff('entry.service_mode', $off));
        $lost = ['closes service_mode M1', 'opens held_valve M1 EEV 1', 'opens held_valve M1 EEV 2'];
        self::assertSame($lost, self::setsOff('entry.service_mode', ['lost' => true] + $off));
        self::assertSame([...$lost, 'opens held_valve M1 EEV 3'], self::setsOff('entry.service_mode', ['lost' => true, 'held' => ['EEV 2', 'EEV 3']] + $off), 'those named now, too');
        self::assertSame([], self::setsOff('entry.service_mode', ['module' => 'M2', 'on' => false] + $modes), 'another module');
        self::assertSame([], self::setsOff('entry.service_mode', ['module' => 'M1', 'on' => true]), 'not told yet');
    }

    public function testALockoutAndATrippedBreakerEndEveryModeThatIsOn(): void
    {
        $modes = self::modes(self::ON, ['module' => 'M2', 'held' => ['EEV 9']] + self::ON);
        $ends = ['closes service_mode M1', 'opens held_valve M1 EEV 1', 'opens held_valve M1 EEV 2', 'closes service_mode M2', 'opens held_valve M2 EEV 9'];
        $lockout = self::judge('power.lockout', self::DEAD + $modes);
        self::assertSame(['opens lock', ...$ends], self::setsOff('power.lockout', self::DEAD + $modes));
        self::assertSame('clear', $lockout->status->value);
        self::assertSame(['opens lock'], self::setsOff('power.lockout', self::DEAD));
        self::assertSame([], self::setsOff('power.lockout', ['volts_ab' => '480 V'] + self::DEAD + $modes), 'power is on');
        self::assertSame(['tells tripped', ...$ends], self::setsOff('entry.breaker_tripped', ['place' => 'R-1/7', 'kind' => 'breaker'] + $modes));
    }

    public function testTheRecordSaysWhichModesAreOnAndWhichWereLost(): void
    {
        $m1 = ['module' => 'M1', 'held' => ['EEV 1', 'EEV 2'], 'lost' => false];
        self::assertSame([], ServiceMode::modes(new Past()));
        self::assertSame(['modes' => [$m1]], self::modes(self::ON));
        self::assertSame([], self::modes(self::ON, ['module' => 'M1', 'on' => false]));
        self::assertSame(['modes' => [$m1]], self::modes(self::ON, ['module' => 'M2', 'on' => false]));
        self::assertSame(['modes' => [$m1]], self::modes(self::ON, ['module' => 'M1']), 'neither on nor off');
        $lost = ['modes' => [['lost' => true] + $m1]];
        self::assertEquals($lost, self::modes(self::ON, ['module' => 'M1', 'on' => false, 'lost' => true]));
        self::assertSame([], self::modes(['module' => 'M1', 'on' => false, 'lost' => true]), 'never on');
        self::assertEquals($lost, ServiceMode::modes(self::record(self::one(self::ON), self::of('power.lockout'))));
        self::assertEquals($lost, ServiceMode::modes(self::record(self::one(self::ON), self::of('entry.breaker_tripped'))));
        self::assertSame(['modes' => [$m1]], ServiceMode::modes(self::record(self::one(self::ON), self::of('power.lockout', 'stop'))), 'still live');
        self::assertSame(['modes' => [$m1]], ServiceMode::modes(self::record(self::one(self::ON), self::of('power.lockout', 'clear', 'old_disconnect'))), 'another unit\'s');
        self::assertSame(['modes' => [$m1]], ServiceMode::modes(self::record(self::one(self::ON), self::of('power.lockout'), self::one(self::ON))), 'put in it once more');
        $both = self::modes(self::ON, ['module' => 'M2'] + self::ON, ['module' => 'M1', 'on' => false, 'lost' => true]);
        self::assertEqualsCanonicalizing([['M1', true], ['M2', false]], array_map(fn (array $mode): array => [$mode['module'], $mode['lost']], $both['modes'] ?? []));
    }

    public function testWhatMayEndItIsToldOfItAndTheVacuumToo(): void
    {
        $on = self::record(self::one(self::ON));
        $modes = ServiceMode::modes($on);
        self::assertSame($modes, Lockout::bringsIn($on, 'machine'));
        self::assertSame([], Lockout::bringsIn($on, 'old_disconnect'), 'another unit\'s power');
        self::assertSame($modes, ServiceMode::bringsIn($on, 'machine'));
        self::assertEquals(['proved' => false] + $modes, BreakerTripped::bringsIn($on, 'machine'));
        self::assertSame(['valves_held_open' => true, 'mode_lost' => false], Decay::bringsIn($on, 'circuit:A'));
        self::assertSame(['valves_held_open' => true, 'mode_lost' => true], Decay::bringsIn(self::record(self::one(self::ON), self::of('power.lockout')), 'circuit:A'));
        self::assertSame([], Decay::bringsIn(new Past(), 'circuit:A'));
    }

    public function testAModeThatIsOnWasNotLost(): void
    {
        [$at, $message] = self::refused('entry.service_mode', ['lost' => true] + self::ON);
        self::assertSame('lost', $at);
        self::assertStringContainsString('off and lost', $message);
    }

    /**
     * @param array<string, mixed> ...$inputs of the service mode, one after the other
     * @return array{modes?: list<array{module: string, held: list<string>, lost: bool}>}
     */
    private static function modes(array ...$inputs): array
    {
        return ServiceMode::modes(self::record(...array_map(self::one(...), $inputs)));
    }

    /** @param array{check: string, subject: string, status: string, input: array<string, mixed>} ...$recorded */
    private static function record(array ...$recorded): Past
    {
        return new Past(array_map(fn (array $one, int $i): array => ['codes' => [], 'values' => [], 'at' => $i + 1] + $one, array_values($recorded), array_keys(array_values($recorded))));
    }

    /**
     * @param array<string, mixed> $input
     * @return array{check: string, subject: string, status: string, input: array<string, mixed>}
     */
    private static function one(array $input): array
    {
        return self::of(ServiceMode::ID, input: $input);
    }

    /**
     * @param array<string, mixed> $input
     * @return array{check: string, subject: string, status: string, input: array<string, mixed>}
     */
    private static function of(string $check, string $status = 'clear', string $subject = 'machine', array $input = []): array
    {
        return ['check' => $check, 'subject' => $subject, 'status' => $status, 'input' => $input];
    }
}
