<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Compressor;

use IronStart\Core\Check\Past;
use IronStart\Core\Compressor\Inverter;
use IronStart\Core\Core;
use IronStart\Core\Sheet\EquipmentSheet;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the record says of the compressor behind an inverter, which pairs the sheet asks for, and what cannot be. */
final class InverterTest extends TestCase
{
    use Judges;

    public function testWhatWasJudgedOfTheCompressorIsKnownAndOtherwiseAsked(): void
    {
        $told = fn (string $check, string $status): array => ['check' => $check, 'subject' => 'compressor:C1', 'status' => $status, 'codes' => [], 'input' => [], 'values' => [], 'at' => 1];
        self::assertSame([], Inverter::bringsIn(new Past(), 'compressor:C1'));
        self::assertSame(['windings' => 'good', 'insulation' => 'bad'], Inverter::bringsIn(new Past([$told('compressor.windings', 'watch'), $told('compressor.insulation', 'stop')]), 'compressor:C1'));
        self::assertSame(['insulation' => 'good'], Inverter::bringsIn(new Past([$told('compressor.windings', 'open'), $told('compressor.insulation', 'clear')]), 'compressor:C1'));
        self::assertSame([], Inverter::bringsIn(new Past([$told('compressor.windings', 'clear')]), 'compressor:C2'), 'of another one it says nothing');
    }

    public function testTheSheetOfAUnitWithAnInverterGivesEachPair(): void
    {
        $sheet = fn (string $drive, int $phases): array => (new EquipmentSheet(['electrical' => ['phases' => $phases, 'motors' => [['name' => 'C1', 'kind' => 'scroll', 'drive' => $drive, 'amps' => '20 A']]]]))->fill((new Inverter())->fields(), 'compressor:C1');
        self::assertCount(6, $sheet('inverter', 3)['rectifier']);
        self::assertCount(4, $sheet('inverter', 1)['rectifier']);
        self::assertSame([['leg' => 'u', 'bus' => 'plus'], ['leg' => 'u', 'bus' => 'minus']], array_slice($sheet('inverter', 3)['output'], 0, 2));
        self::assertArrayNotHasKey('rectifier', $sheet('across_line', 3));
    }

    /** @param array<string, mixed> $input */
    #[DataProvider('wrong')]
    public function testAPairTwiceIsRefused(array $input, string $field): void
    {
        self::assertSame($field, self::refused('compressor.inverter', $input)[0]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $pair = ['leg' => 'a', 'bus' => 'plus', 'forward' => '0.4 V', 'reverse' => 'OL'];
        yield 'a pair of the rectifier twice' => [['rectifier' => [$pair, $pair]], 'rectifier.1.bus'];
        yield 'a leg of the other side' => [['output' => [$pair]], 'output.0.leg'];
    }

    public function testNothingIsReadWithOhmsWhileTheBusIsCharged(): void
    {
        $verdict = Core::judge()->judge('compressor.inverter', ['locked' => true, 'bus_dead' => '48 V'], 'us');
        self::assertSame('48 V still on the bus.', $verdict->headline);
        self::assertSame('Wait, and read it again. Never short it.', $verdict->next[0]);
    }
}
