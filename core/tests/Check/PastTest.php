<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Check;

use IronStart\Core\Check\Past;
use IronStart\Core\Compressor\Acid;
use IronStart\Core\Power\Circuit;
use IronStart\Core\Power\ControlVoltage;
use IronStart\Core\Power\Rotation;
use IronStart\Core\Power\Voltage;
use PHPUnit\Framework\TestCase;

/** What a check takes from the entries before it. */
final class PastTest extends TestCase
{
    public function testTheProofsSinceTheLastReversalOfEachCompressor(): void
    {
        $reversed = self::entry('power.rotation', 'stop', ['supply_reversed'], 4);
        $past = fn (array ...$entries): array => (new Past(array_values($entries)))->provedSinceReversal();
        $windings = self::entry('compressor.windings', 'clear', [], 5, 'compressor:C1');
        $insulation = self::entry('compressor.insulation', 'watch', [], 6, 'compressor:C1');
        $acid = self::entry('compressor.acid', 'clear', [], 7, 'compressor:C2');
        $amps = self::entry('power.running_amps', 'clear', [], 8, 'machine', ['loads' => [['name' => 'C1']]]);
        self::assertSame(['C1' => ['windings', 'insulation'], 'C2' => ['oil_acid']], $past($reversed, $windings, $insulation, $acid));
        self::assertSame(['C1' => ['windings', 'amps_pressures']], $past($windings, $amps));
        self::assertSame([], $past($windings, $insulation, $reversed), 'all was before the reversal');
        self::assertSame([], $past($windings, self::entry('power.rotation', 'stop', ['load_reversed:C1'], 6)));
        self::assertSame(['C1' => ['windings']], $past($windings, self::entry('power.rotation', 'stop', ['phase_lost'], 6)), 'no reversal');
        self::assertSame([], $past(self::entry('compressor.windings', 'stop', [], 5, 'compressor:C1'), self::entry('compressor.windings', 'clear', [], 5, 'machine'), self::entry('compressor.insulation', 'open', [], 5, 'compressor:C1')));
    }

    public function testTheStandingAverageIsTheNewestUnloadedBeforeTheStart(): void
    {
        $read = fn (int $at, float $average, array $input = [], string $subject = 'machine'): array => self::entry('power.voltage', 'clear', [], $at, $subject, $input, ['average' => ['value' => $average, 'unit' => 'V']]);
        $average = fn (?int $start, array ...$entries): ?float => (new Past(array_values($entries), [], $start))->standingAverage();
        self::assertSame(481.0, $average(null, $read(1, 470.0), $read(2, 481.0)));
        self::assertSame(481.0, $average(null, $read(2, 481.0), $read(3, 460.0, ['loaded' => true]), $read(4, 455.0, [], 'loaded')), 'never a loaded one');
        self::assertSame(470.0, $average(2, $read(1, 470.0), $read(2, 481.0), $read(3, 490.0)), 'before the newest start, not at it');
        self::assertNull($average(null));
        self::assertNull($average(null, self::entry('power.voltage', 'open', [], 1)));
    }

    public function testWhatWasToldOnceIsCarriedOn(): void
    {
        $told = fn (int $at, string $name, ?string $time): array => self::entry('power.rotation', 'stop', [], $at, 'machine', ['loads' => [['name' => $name] + ($time === null ? [] : ['hours_backwards' => $time])]]);
        self::assertSame(['C1' => '5 min', 'C2' => '8 s'], (new Past([$told(1, 'C1', '2 min'), $told(2, 'C2', '8 s'), $told(3, 'C1', '5 min'), $told(4, 'C1', null)]))->toldBackwards());
        self::assertSame([], (new Past([self::entry('power.running_amps', 'clear', [], 1, 'machine', ['loads' => [['name' => 'C1', 'hours_backwards' => '1 s']]])]))->toldBackwards());
    }

    public function testWhatTheChecksBringIn(): void
    {
        $identity = self::entry('power.supply_identity', 'watch', [], 1, 'old_disconnect', [], ['high_leg' => ['value' => 'b', 'unit' => '']]);
        $newer = self::entry('power.supply_identity', 'watch', [], 2, 'machine', [], ['high_leg' => ['value' => 'c', 'unit' => '']]);
        self::assertSame('b', Rotation::bringsIn(new Past([$identity]), 'machine')['high_leg']);
        self::assertSame('c', Rotation::bringsIn(new Past([$newer, $identity]), 'machine')['high_leg'], 'the machine\'s own reading wins');
        self::assertSame(['C2' => ['out' => true]], Rotation::bringsIn(new Past([], ['C2']), 'machine')['loads']);
        $average = fn (float $volts): Past => new Past([self::entry('power.voltage', 'clear', [], 1, 'machine', [], ['average' => ['value' => $volts, 'unit' => 'V']])]);
        self::assertSame(['line_voltage' => ['value' => 481.0, 'unit' => 'V']], Circuit::bringsIn($average(481.0), 'machine'));
        self::assertSame([], Circuit::bringsIn($average(481.0), 'old_disconnect'));
        $out = fn (string $acid, string $failure): array => Acid::bringsIn(new Past([self::entry('refrigerant.way_out', 'clear', [], 1, 'machine', ['acid' => $acid, 'failure' => $failure])]), 'machine');
        self::assertSame(['oil_acid' => 'slight', 'failure' => 'mechanical'], $out('slight', 'mechanical'));
        self::assertSame([], $out('not_tested', 'unknown'), 'nobody knew');
        self::assertSame([], Acid::bringsIn(new Past(), 'machine'));
        self::assertSame([[], ['supply_average' => ['value' => 50.0, 'unit' => 'V']], []], array_map(fn (float $v): array => ControlVoltage::bringsIn($average($v), 'machine'), [49.9, 50.0, 1000.1]));
        self::assertSame([[], ['line_voltage' => ['value' => 50.0, 'unit' => 'V']]], array_map(fn (float $v): array => Circuit::bringsIn($average($v), 'machine'), [49.9, 50.0]));
    }

    public function testItIsReadOnceAndOnlyWhenACheckAsks(): void
    {
        $reads = 0;
        $past = Past::whenAsked(function () use (&$reads): Past {
            $reads++;

            return new Past([self::entry('power.voltage', 'clear', [], 1, 'machine', [], ['average' => ['value' => 481.0, 'unit' => 'V']]), self::entry('power.voltage', 'clear', [], 4, 'machine', [], ['average' => ['value' => 470.0, 'unit' => 'V']])], ['C2'], 3);
        });
        self::assertSame([], Voltage::bringsIn($past, 'machine'));
        self::assertSame(0, $reads, 'at rest the voltage asks for nothing');
        self::assertSame(['no_load_average' => ['value' => 481.0, 'unit' => 'V']], Voltage::bringsIn($past, 'loaded'));
        self::assertSame([['C2'], 4], [$past->motorsOut(), $past->last('power.voltage', 'machine')['at'] ?? 0]);
        self::assertSame(1, $reads);
    }

    public function testTheLastOfACheckAboutASubject(): void
    {
        $past = new Past([self::entry('power.voltage', 'clear', [], 1), self::entry('power.voltage', 'stop', [], 2), self::entry('power.voltage', 'watch', [], 3, 'loaded')]);
        self::assertSame([2, 1, 3], [$past->last('power.voltage', 'machine')['at'] ?? 0, $past->last('power.voltage', 'machine', 2)['at'] ?? 0, $past->last('power.voltage', 'loaded')['at'] ?? 0]);
        self::assertNull($past->last('power.voltage', 'machine', 1));
        self::assertNull($past->value('power.voltage', 'machine', 'average'));
    }

    public function testThePartsThatWereTriedOneByOne(): void
    {
        $past = new Past([self::entry('tight.hold', 'open', [], 1, 'circuit:A/lines'), self::entry('tight.hold', 'clear', [], 2, 'circuit:A'), self::entry('tight.hold', 'clear', [], 3, 'circuit:A/coil'), self::entry('tight.hold', 'clear', [], 4, 'circuit:A/lines'), self::entry('dry.decay', 'clear', [], 5, 'circuit:A/other')]);
        self::assertSame(['circuit:A/lines', 'circuit:A/coil'], $past->parts('tight.hold'));
        self::assertSame([], (new Past())->parts('tight.hold'));
    }

    /**
     * @param list<string> $codes
     * @param array<string, mixed> $input
     * @param array<string, array{value: mixed, unit: string}> $values
     * @return array{check: string, subject: string, status: string, codes: list<string>, input: array<string, mixed>, values: array<string, array{value: mixed, unit: string}>, at: int}
     */
    private static function entry(string $check, string $status, array $codes, int $at, string $subject = 'machine', array $input = [], array $values = []): array
    {
        return ['check' => $check, 'subject' => $subject, 'status' => $status, 'codes' => $codes, 'input' => $input, 'values' => $values, 'at' => $at];
    }

    public function testWhatIsDrawnOnIsReadAndNothingElse(): void
    {
        self::assertSame([
            'power.rotation', 'power.running_amps', 'power.voltage', 'power.supply_identity', 'power.circuit', 'power.lockout', 'compressor.windings', 'compressor.insulation', 'compressor.acid', 'compressor.match',
            'survey.curb_fit', 'survey.rigging', 'refrigerant.way_out', 'entry.flush', 'entry.joint', 'entry.lift_day', 'entry.hot_work', 'entry.hours', 'entry.swap', 'entry.first_step', 'entry.service_mode', 'entry.breaker_tripped', 'run.warm_up',
            'tight.hold', 'dry.log', 'dry.decay', 'charge.weigh_in', 'charge.trim', 'refrigerant.account', 'vrf.topology', 'vrf.addresses', 'vrf.warm_up', 'vrf.commission', 'vrf.run_plan', 'vrf.crossed_zones', 'vrf.charge',
        ], Past::DRAWN_ON);
    }

    public function testWhatIsNotAmongWhatIsDrawnOnIsNeverAskedFor(): void
    {
        $this->expectException(\LogicException::class);
        (new Past())->last('entry.oil', 'machine');
    }

    public function testTheNewestMatchOfEachCompressorIsItsPlate(): void
    {
        $match = fn (int $at, string $status, string $subject, mixed $new): array => self::entry('compressor.match', $status, [], $at, $subject, ['new' => $new]);
        $a = ['rla' => '25 A'];
        $b = ['rla' => '26 A'];
        self::assertSame(['C1' => $b, 'C2' => $a], (new Past([$match(1, 'watch', 'compressor:C1', $a), $match(2, 'clear', 'compressor:C2', $a), $match(3, 'stop', 'compressor:C1', $b)]))->newCompressors());
        self::assertSame([], (new Past([$match(1, 'open', 'compressor:C1', $a), $match(2, 'clear', 'machine', $a), $match(3, 'clear', 'compressor:C1', null), self::entry('compressor.windings', 'clear', [], 4, 'compressor:C1', ['new' => $a])]))->newCompressors());
    }

    public function testAllOfSomeChecksComeInTheOrderOfTime(): void
    {
        $past = new Past([self::entry('power.lockout', 'clear', [], 1), self::entry('power.voltage', 'clear', [], 2), self::entry('entry.service_mode', 'clear', [], 3), self::entry('power.lockout', 'stop', [], 4)]);
        self::assertSame([1, 3, 4], array_column($past->inOrder('entry.service_mode', 'power.lockout'), 'at'));
        $this->expectException(\LogicException::class);
        $past->inOrder('power.lockout', 'entry.oil');
    }

    public function testNorIsItByName(): void
    {
        $this->expectException(\LogicException::class);
        (new Past())->named('entry.oil');
    }
}
