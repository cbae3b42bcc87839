<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Vrf;

use IronStart\Core\Air\Split;
use IronStart\Core\Check\Past;
use IronStart\Core\Vrf\Addresses;
use IronStart\Core\Vrf\AsDrawn;
use IronStart\Core\Vrf\ChargeAndRoom;
use IronStart\Core\Vrf\Commission;
use IronStart\Core\Vrf\CrossedZones;
use IronStart\Core\Vrf\RunPlan;
use IronStart\Core\Vrf\Topology;
use PHPUnit\Framework\TestCase;

/** A tree is drawn once: what follows from it stands on every bench after it. */
final class AsDrawnTest extends TestCase
{
    private const TREE = [
        'nodes' => [
            ['id' => 'O', 'kind' => 'outdoor', 'address' => '1'], ['id' => 'J', 'kind' => 'joint'], ['id' => 'B', 'kind' => 'box', 'address' => '51'],
            ['id' => 'I1', 'kind' => 'indoor', 'room' => 'Office', 'address' => '1'], ['id' => 'I2', 'kind' => 'indoor', 'room' => 'Hall'], ['id' => 'I3', 'kind' => 'indoor', 'room' => 'Hall'], ['id' => 'I4', 'kind' => 'indoor'],
        ],
        'pipes' => [
            ['from' => 'O', 'to' => 'J', 'actual' => '9 m', 'liquid_od' => '1/2 in'], ['from' => 'J', 'to' => 'B', 'actual' => '5 m', 'liquid_od' => '3/8 in'], ['from' => 'B', 'to' => 'I1', 'actual' => '3 m', 'liquid_od' => '1/4 in'],
            ['from' => 'B', 'to' => 'I2', 'actual' => '4 m'], ['from' => 'J', 'to' => 'I3', 'actual' => '6 m', 'liquid_od' => '1/4 in'], ['from' => 'J', 'to' => 'I4', 'actual' => '7 m'],
        ],
    ];

    public function testAsBuiltItStartsFromWhatWasPlannedUntilItIsDrawn(): void
    {
        self::assertSame([], Topology::bringsIn(new Past(), 'built'));
        self::assertSame(self::TREE, Topology::bringsIn(self::past('planned'), 'built'));
        self::assertSame([], Topology::bringsIn(self::past('built'), 'planned'), 'what was built is no plan');
        $both = new Past([self::told('vrf.topology', 'built', ['nodes' => [], 'pipes' => []]), self::told('vrf.topology', 'planned', self::TREE)]);
        self::assertSame(['nodes' => [], 'pipes' => []], Topology::bringsIn($both, 'built'));
        self::assertSame(['limits' => ['max_total' => '9 m']], Topology::bringsIn(new Past([self::told('vrf.topology', 'planned', ['limits' => ['max_total' => '9 m'], 'other' => 1])]), 'planned'));
    }

    public function testWhoHasAnAddressComesFromTheTreeUntilTheyWereSet(): void
    {
        $devices = [['id' => 'O', 'kind' => 'outdoor', 'address' => 1], ['id' => 'B', 'kind' => 'box', 'address' => 51], ['id' => 'I1', 'kind' => 'indoor', 'box' => 'B', 'address' => 1], ['id' => 'I2', 'kind' => 'indoor', 'box' => 'B'], ['id' => 'I3', 'kind' => 'indoor'], ['id' => 'I4', 'kind' => 'indoor']];
        self::assertSame($devices, AsDrawn::devices(self::past()));
        self::assertSame(['devices' => $devices], Addresses::bringsIn(self::past(), 'machine'));
        $set = [['id' => 'O', 'kind' => 'outdoor', 'address' => 2]];
        self::assertSame(['devices' => $set], Addresses::bringsIn(new Past([self::told('vrf.topology', 'built', self::TREE), self::told('vrf.addresses', 'machine', ['devices' => $set])]), 'machine'));
        self::assertSame([], Addresses::bringsIn(new Past(), 'machine'));
    }

    public function testAnIndoorUnitIsAsLargeAsTheTreeHasIt(): void
    {
        $tree = ['nodes' => [['id' => 'I1', 'kind' => 'indoor', 'capacity' => '3.6 kW'], ['id' => 'I2', 'kind' => 'indoor'], ['id' => 'I3', 'kind' => 'indoor', 'capacity' => 4]], 'pipes' => []];
        $past = new Past([self::told('vrf.topology', 'built', $tree)]);
        self::assertSame(['tons' => '3.6 kW'], Split::bringsIn($past, 'indoor:I1'));
        foreach (['indoor:I2', 'indoor:I3', 'indoor:I9', 'machine', 'I1'] as $other) {
            self::assertSame([], Split::bringsIn($past, $other), $other);
        }
    }

    public function testWhoReportsAndWhoRunsOnWhichBox(): void
    {
        self::assertSame(['indoor' => [['id' => 'I1'], ['id' => 'I2'], ['id' => 'I3'], ['id' => 'I4']]], Commission::bringsIn(self::past(), 'machine'));
        $ready = ['indoor' => [['id' => 'I1', 'ready' => true]], 'needs_done' => ['covers on'], 'step' => 1, 'shown' => 'A1'];
        self::assertSame(['indoor' => $ready['indoor'], 'needs_done' => ['covers on']], Commission::bringsIn(new Past([self::told('vrf.commission', 'machine', $ready)]), 'machine'), 'the step is read anew');
        self::assertSame(['boxes' => [['id' => 'B', 'indoor' => ['I1', 'I2']], ['id' => 'joint', 'indoor' => ['I3', 'I4']]]], RunPlan::bringsIn(self::past(), 'machine'));
        self::assertSame([], RunPlan::bringsIn(new Past(), 'machine'));
        self::assertSame([], Commission::bringsIn(new Past(), 'machine'));
    }

    public function testRoomsAreCalledByNameWhereOneUnitServesThem(): void
    {
        self::assertSame(['Office', 'I2', 'I3', 'I4'], AsDrawn::zones(self::past()));
        self::assertSame(['zones' => ['Office', 'I2', 'I3', 'I4']], CrossedZones::bringsIn(self::past(), 'machine'));
        self::assertSame([], CrossedZones::bringsIn(new Past(), 'machine'));
    }

    public function testLinesAreThoseWhoseSizeIsKnown(): void
    {
        $lines = [['liquid_od' => '1/2 in', 'length' => '9 m'], ['liquid_od' => '3/8 in', 'length' => '5 m'], ['liquid_od' => '1/4 in', 'length' => '3 m'], ['liquid_od' => '1/4 in', 'length' => '6 m']];
        self::assertSame(['lines' => $lines], ChargeAndRoom::bringsIn(self::past(), 'machine'));
        self::assertSame([], ChargeAndRoom::bringsIn(new Past(), 'machine'));
    }

    public function testATreeThatBitesItsTailEndsTheSearchForABox(): void
    {
        $loop = ['nodes' => [['id' => 'J', 'kind' => 'joint'], ['id' => 'I1', 'kind' => 'indoor']], 'pipes' => [['from' => 'J', 'to' => 'I1'], ['from' => 'I1', 'to' => 'J']]];
        self::assertSame([['id' => 'joint', 'indoor' => ['I1']]], AsDrawn::boxes(new Past([self::told('vrf.topology', 'planned', $loop)])));
    }

    private static function past(string $subject = 'built'): Past
    {
        return new Past([self::told('vrf.topology', $subject, self::TREE)]);
    }

    /**
     * @param array<string, mixed> $input
     * @return array{check: string, subject: string, status: string, codes: list<string>, input: array<string, mixed>, values: array<string, array{value: mixed, unit: string}>, at: int}
     */
    private static function told(string $check, string $subject, array $input): array
    {
        return ['check' => $check, 'subject' => $subject, 'status' => 'clear', 'codes' => [], 'input' => $input, 'values' => [], 'at' => 1];
    }
}
