<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Gate;

use IronStart\Core\Core;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What two entries of the same moment do to each other, and what they do a moment apart: each limit in time as a pair. */
final class MomentTest extends TestCase
{
    private const REVERSED = ['codes' => ['supply_reversed']];
    private const PROVED = ['codes' => ['proved']];
    private const DOUBTED = ['codes' => ['conductor_small'], 'suspect' => true];

    /** @return iterable<string, array{int, string, bool, list<array{0: string, 1: string, 2: float, 3?: array<string, mixed>}>, 4?: array<string, mixed>}> gate, what is asked again, whether, records, more of the job */
    public static function pairs(): iterable
    {
        $voltage = [['power.voltage', 'clear', 5.0]];
        yield 'work on the supply at the same moment' => [7, 'power.voltage:machine', true, $voltage, ['supply_changed_at' => 5]];
        yield 'work on the supply just before' => [7, 'power.voltage:machine', false, $voltage, ['supply_changed_at' => 4.9]];
        $running = fn (float $at): array => [['power.rotation', 'stop', 1.0, self::REVERSED], ['power.lockout', 'clear', 2.0], ['power.rotation', 'clear', 3.0, self::PROVED], ['power.running_amps', 'clear', $at]];
        yield 'amps at the moment the direction is proved' => [8, 'power.running_amps:machine', true, $running(3.0)];
        yield 'amps just after the direction is proved' => [8, 'power.running_amps:machine', false, $running(3.1)];
        $doubted = fn (float $at): array => [['power.circuit', 'stop', 5.0, self::DOUBTED], ['power.circuit', 'clear', $at]];
        yield 'all-clear at the moment of a doubted stop' => [7, 'power.circuit:machine', true, $doubted(5.0)];
        yield 'all-clear just after a doubted stop' => [7, 'power.circuit:machine', false, $doubted(5.1)];
        $listed = fn (float $lock): array => [['list.prestart', 'clear', 5.0], ['power.lockout', 'clear', $lock]];
        yield 'locked out at the moment of the list' => [0, 'missing:list.prestart', true, $listed(5.0)];
        yield 'locked out just before the list' => [0, 'missing:list.prestart', false, $listed(4.9)];
        $undone = fn (float $at): array => [['dry.decay', 'clear', 5.0], ['tight.hold', 'clear', $at]];
        $opened = ['start_up_only' => false, 'facts' => ['circuit_opened', 'nothing_old']];
        yield 'opened at the moment it was dry' => [6, 'dry.decay:circuit:A', true, $undone(5.0), $opened];
        yield 'opened just before it was dry' => [6, 'dry.decay:circuit:A', false, $undone(4.9), $opened];
    }

    /**
     * @param list<array{0: string, 1: string, 2: float, 3?: array<string, mixed>}> $records
     * @param array<string, mixed> $more
     */
    #[DataProvider('pairs')]
    public function testAPairOfMoments(int $gate, string $asked, bool $again, array $records, array $more = []): void
    {
        $values = self::values($records, $more);
        $list = $gate === 0 ? $values['start_refused'] : $values["missing:$gate"] ?? [];
        self::assertSame($again, in_array($asked, $list, true), implode(' ', $list));
    }

    /** @return iterable<string, array{float, string}> when it was locked out between a reversal at 1 and the next reading at 3 */
    public static function lockouts(): iterable
    {
        yield 'at the moment of the reversal' => [1.0, 'stopped'];
        yield 'between' => [2.0, 'asking'];
        yield 'at the moment of the new reading' => [3.0, 'stopped'];
    }

    #[DataProvider('lockouts')]
    public function testALockoutBetweenIsStrictlyBetween(float $at, string $state): void
    {
        $values = self::values([['power.rotation', 'stop', 1.0, self::REVERSED], ['power.lockout', 'clear', $at], ['power.rotation', 'clear', 3.0, self::PROVED]], []);
        self::assertSame($state, $values['state:7']);
    }

    /**
     * @param list<array{0: string, 1: string, 2: float, 3?: array<string, mixed>}> $records
     * @param array<string, mixed> $more
     * @return array<string, mixed>
     */
    private static function values(array $records, array $more): array
    {
        $recorded = array_map(fn (array $r): array => ['check' => $r[0], 'status' => $r[1], 'at' => $r[2]] + ($r[3] ?? []), $records);
        $job = $more + ['job_type' => 'rooftop', 'start_up_only' => true, 'recorded' => $recorded];
        $values = [];
        foreach (Core::judge()->judge('job.gates', json_decode((string) json_encode($job)), 'us')->judgement->values as $name => $value) {
            $values[$name] = $value->value;
        }

        return $values;
    }
}
