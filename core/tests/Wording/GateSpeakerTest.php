<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Wording;

use IronStart\Core\Core;
use IronStart\Core\Wording\GateLine;
use IronStart\Core\Wording\GateSpeaker;
use IronStart\Core\Wording\GateWords;
use IronStart\Core\Wording\Phrases;
use PHPUnit\Framework\TestCase;

final class GateSpeakerTest extends TestCase
{
    private const POWER = ['power.supply_identity', 'power.voltage', 'power.circuit'];

    public function testEachStateHasItsSentence(): void
    {
        $lines = $this->lines([]);
        self::assertSame('Not on this job: others set it, we start it.', $lines[0]->sentence);
        self::assertSame('Not on this job: the circuit was not opened.', $lines[4]->sentence);
        self::assertSame('Still to do: read the rotation, read what supply it is, read the voltage and 1 more.', $lines[6]->sentence);
        self::assertSame('Shut until Power is answered.', $lines[7]->sentence);
        self::assertSame('Shut until all the rest is answered.', $lines[11]->sentence);
        self::assertSame(['check' => 'charge.state', 'subject' => 'circuit:A', 'todo' => 'read superheat and subcooling (circuit A)'], $lines[8]->missing[0]);
    }

    public function testTheDecidingVerdictSpeaksForItsGate(): void
    {
        $stop = ['check' => 'power.rotation', 'status' => 'stop', 'codes' => ['supply_reversed'], 'at' => 9];
        $lines = $this->lines([$stop], ['power.rotation:machine' => 'The supply is reversed.']);
        self::assertSame(['stopped', 'The supply is reversed.', 'power.rotation'], [$lines[6]->state, $lines[6]->sentence, $lines[6]->check]);
    }

    public function testAMissingLockoutIsSaidInsteadOfTheStop(): void
    {
        $stop = ['check' => 'power.rotation', 'status' => 'stop', 'codes' => ['supply_reversed'], 'at' => 9];
        $again = ['check' => 'power.rotation', 'status' => 'clear', 'codes' => ['proved'], 'at' => 10];
        self::assertStringContainsString('no lockout is recorded in between', $this->lines([$stop, $again])[6]->sentence);
    }

    public function testTheStartIsRefusedWithEveryReasonAndLetThroughWithNone(): void
    {
        $speaker = new GateSpeaker(Phrases::shipped());
        $all = array_map(fn (string $check): array => ['check' => $check, 'status' => 'clear', 'codes' => ['proved'], 'at' => 1], [...self::POWER, 'power.rotation']);
        $gates = fn (array $recorded, array $putBack = []) => Core::bench()->judge('job.gates', ['job_type' => 'rooftop', 'start_up_only' => true, 'recorded' => $recorded, 'put_back' => $putBack], 'us')->judgement;
        $why = fn ($judged): array => $speaker->whyShut($judged, $speaker->lines($judged, new GateWords(putBack: ['3' => 'Lock 7 on'])), ['3' => 'Lock 7 on'], 8);
        self::assertSame([], $why($gates($all)));
        self::assertSame(['Held shut by the put-back list: Lock 7 on.'], $why($gates($all, [['id' => '3', 'shuts' => [8]]])));
        self::assertCount(2, $why($gates([], [['id' => '3', 'shuts' => [8]]])));
    }

    public function testAPartIsNamedInWhatIsToBeDone(): void
    {
        $speaker = new GateSpeaker(Phrases::shipped());
        self::assertSame('read the windings (C1)', $speaker->todo('compressor.windings', 'compressor:C1'));
        self::assertSame('read the voltage (under load)', $speaker->todo('power.voltage', 'loaded'));
        self::assertSame('read the voltage', $speaker->todo('power.voltage'));
    }

    /**
     * @param list<array<string, mixed>> $recorded
     * @param array<string, string>      $headlines
     * @return list<GateLine>
     */
    private function lines(array $recorded, array $headlines = []): array
    {
        $gates = Core::bench()->judge('job.gates', ['job_type' => 'rooftop', 'start_up_only' => true, 'recorded' => $recorded], 'us')->judgement;

        return (new GateSpeaker(Phrases::shipped()))->lines($gates, new GateWords($headlines));
    }
}
