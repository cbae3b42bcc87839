<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Air;

use IronStart\Core\Air\FanTable;
use IronStart\Core\Check\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A sheet's fan table: read whole or refused at the cell, and read between its cells. */
final class FanTableTest extends TestCase
{
    private const TABLE = ['settings' => [800, 1000], 'statics' => ['100 Pa', '200 Pa', '300 Pa'], 'flows' => [['1000 m3/h', '900 m3/h', null], ['1400 m3/h', '1300 m3/h', '1100 m3/h']]];

    /** @return iterable<string, array{float, float, float|null}> setting, Pa, m3/h */
    public static function places(): iterable
    {
        yield 'a cell' => [800, 200, 900.0];
        yield 'the first corner' => [800, 100, 1000.0];
        yield 'the last corner' => [1000, 300, 1100.0];
        yield 'between statics' => [1000, 150, 1350.0];
        yield 'between settings' => [900, 100, 1200.0];
        yield 'in the middle' => [900, 150, 1150.0];
        yield 'a cell beside a blank' => [800, 200, 900.0];
        yield 'towards a blank' => [800, 201, null];
        yield 'between settings, over a blank' => [900, 300, null];
        yield 'a row whose neighbor is blank' => [1000, 250, 1200.0];
        yield 'below the first setting' => [799, 200, null];
        yield 'above the last setting' => [1001, 200, null];
        yield 'below the first static' => [800, 99, null];
        yield 'above the last static' => [1000, 301, null];
    }

    #[DataProvider('places')]
    public function testAFlowIsReadBetweenTheCells(float $setting, float $static, ?float $flow): void
    {
        $read = FanTable::read(self::TABLE, 'table')->at($setting, $static);
        $flow === null ? self::assertNull($read) : self::assertEqualsWithDelta($flow, $read, 1e-6);
    }

    public function testATableOfOneCellHoldsThere(): void
    {
        $one = FanTable::read(['settings' => [1], 'statics' => ['100 Pa'], 'flows' => [['900 m3/h']]], 'table');
        self::assertEqualsWithDelta(900.0, $one->at(1, 100), 1e-6);
        self::assertNull($one->at(2, 100));
    }

    /** @return iterable<string, array{mixed, string}> */
    public static function wrong(): iterable
    {
        $with = fn (array $more): array => $more + self::TABLE;
        yield 'no table' => ['1000 cfm', 'table'];
        yield 'no settings' => [array_diff_key(self::TABLE, ['settings' => 1]), 'table'];
        yield 'no statics' => [array_diff_key(self::TABLE, ['statics' => 1]), 'table'];
        yield 'no flows' => [array_diff_key(self::TABLE, ['flows' => 1]), 'table'];
        yield 'a setting in words' => [$with(['settings' => [800, 'high']]), 'table.settings.1'];
        yield 'settings that stand still' => [$with(['settings' => [800, 800]]), 'table.settings.1'];
        yield 'settings that fall' => [$with(['settings' => [800, 700]]), 'table.settings.1'];
        yield 'a static without its unit' => [$with(['statics' => [100, '200 Pa', '300 Pa']]), 'table.statics.0'];
        yield 'statics that stand still' => [$with(['statics' => ['100 Pa', '100 Pa', '300 Pa']]), 'table.statics.1'];
        yield 'a flow of nothing' => [$with(['flows' => [['1000 m3/h', '0 m3/h', null], ['1 m3/h', '1 m3/h', '1 m3/h']]]), 'table.flows.0.1'];
        yield 'a flow in words' => [$with(['flows' => [['1000 m3/h', 'some', null], ['1 m3/h', '1 m3/h', '1 m3/h']]]), 'table.flows.0.1'];
        yield 'a row too short' => [$with(['flows' => [['1000 m3/h', '900 m3/h'], ['1 m3/h', '1 m3/h', '1 m3/h']]]), 'table.flows.0'];
        yield 'a row that is none' => [$with(['flows' => ['1000 m3/h', ['1 m3/h', '1 m3/h', '1 m3/h']]]), 'table.flows.0'];
        yield 'a row too few' => [$with(['flows' => [['1 m3/h', '1 m3/h', '1 m3/h']]]), 'table.flows'];
        yield 'nothing in it' => [['settings' => [], 'statics' => [], 'flows' => []], 'table.flows'];
        yield 'no statics in it' => [['settings' => [1], 'statics' => [], 'flows' => [[]]], 'table.flows'];
    }

    #[DataProvider('wrong')]
    public function testWhatIsNoTableIsRefusedAtItsCell(mixed $raw, string $field): void
    {
        try {
            FanTable::read($raw, 'table');
            self::fail('It was taken.');
        } catch (InputError $error) {
            self::assertSame($field, $error->field);
        }
    }

    public function testAFigureMayComeAsValueAndUnitOrAsAnObject(): void
    {
        $raw = (object) ['settings' => [800], 'statics' => [(object) ['value' => 100, 'unit' => 'Pa']], 'flows' => [[['value' => 1000, 'unit' => 'm3/h']]]];
        self::assertEqualsWithDelta(1000.0, FanTable::read($raw, 'table')->at(800, 100), 1e-6);
        $this->expectException(InputError::class);
        FanTable::read(['settings' => [800], 'statics' => [['value' => 'x', 'unit' => 'Pa']], 'flows' => [['1 m3/h']]], 'table');
    }
}
