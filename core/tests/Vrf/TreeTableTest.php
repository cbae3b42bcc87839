<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Vrf;

use IronStart\Core\Tests\Judges;
use IronStart\Core\Vrf\TreeTable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A tree from a table and back, and what is wrong by line. */
final class TreeTableTest extends TestCase
{
    use Judges;

    private const HEAD = 'name,kind,from,length (m),rise (m),liquid,gas,ports,capacity (kW),capped,room,address,set,short elbows,long elbows,bends';
    private const TABLE = self::HEAD . "\nO,outdoor,,,,,,,28,,,1,,,,\nO2,outdoor,T,3,,3/8 in,7/8 in,,22.4,,,2,,,,\nT,joint,O,3,,3/8 in,7/8 in,,,,,,straight,,,\n"
        . "B,branch box,T,22,−6,1/2 in,1-1/8 in,4,,3 4,,51,,,2,\nI1,Indoor,B,9,,3/8 in,5/8 in,1,7.1,,\"Press hall, north\",1,,1,,3\nI2,indoor,B,12 ft,,1/4 in,1/2 in,\"2\",3.6 kW,,Office,2,,,,\n";

    public function testATableIsATree(): void
    {
        $tree = TreeTable::read(self::TABLE);
        self::assertSame([], $tree->errors);
        self::assertSame(['id' => 'O', 'kind' => 'outdoor', 'capacity' => '28 kW', 'address' => '1'], $tree->nodes[0]);
        self::assertSame(['id' => 'B', 'kind' => 'box', 'ports' => 4, 'capped' => [3, 4], 'address' => '51'], $tree->nodes[3]);
        self::assertSame(['id' => 'I1', 'kind' => 'indoor', 'capacity' => '7.1 kW', 'address' => '1', 'room' => 'Press hall, north'], $tree->nodes[4]);
        self::assertSame(['from' => 'O2', 'to' => 'T', 'actual' => '3 m', 'liquid_od' => '3/8 in', 'gas_od' => '7/8 in'], $tree->pipes[0], 'a further module feeds the joint it names');
        self::assertSame(['from' => 'T', 'to' => 'B', 'actual' => '22 m', 'rise' => '-6 m', 'liquid_od' => '1/2 in', 'gas_od' => '1-1/8 in', 'elbows_long' => 2], $tree->pipes[2]);
        self::assertSame(['from' => 'B', 'to' => 'I1', 'actual' => '9 m', 'liquid_od' => '3/8 in', 'gas_od' => '5/8 in', 'ports' => [1], 'elbows_short' => 1, 'bends' => 3], $tree->pipes[3]);
        self::assertSame('12 ft', $tree->pipes[4]['actual'], 'a figure with a unit keeps it');
        self::assertSame(['clear', []], self::found('vrf.topology', ['nodes' => [...array_slice($tree->nodes, 0, 3), ['ports' => 4] + $tree->nodes[3], ...array_slice($tree->nodes, 4)], 'pipes' => $tree->pipes, 'limits' => ['max_total' => '100 m']]));
    }

    public function testItIsReadWithSemicolonsInAnyOrderAndWithWhatASpreadsheetPutsBefore(): void
    {
        $tree = TreeTable::read("\u{FEFF}kind;name;notes;from;length;rise\r\noutdoor;O;;;;\r\n\r\nindoor;I;x;O;5 m;'-2 m\r\n");
        self::assertSame([[], [['from' => 'O', 'to' => 'I', 'actual' => '5 m', 'rise' => '-2 m']]], [$tree->errors, $tree->pipes]);
    }

    public function testWhatIsWrittenIsReadBack(): void
    {
        $tree = TreeTable::read(self::TABLE);
        $lines = array_map(fn (array $row): string => implode(',', array_map(fn (string $cell): string => '"' . $cell . '"', $row)), TreeTable::rows($tree->nodes, $tree->pipes));
        $again = TreeTable::read(implode("\n", $lines));
        self::assertSame([[], $tree->nodes, $tree->pipes], [$again->errors, $again->nodes, $again->pipes]);
        self::assertSame('3 m', TreeTable::rows([['id' => 'O', 'kind' => 'outdoor'], ['id' => 'I', 'kind' => 'indoor']], [['from' => 'O', 'to' => 'I', 'actual' => ['value' => 3, 'unit' => 'm']]])[2][3]);
    }

    #[DataProvider('wrong')]
    public function testWhatIsWrongIsToldByLine(string $line, string $column, string $error, string $value): void
    {
        $errors = TreeTable::read(self::HEAD . "\nO,outdoor,,,,,,,28,,,,,,,\n$line\n")->errors;
        self::assertSame([['line' => 3, 'column' => $column, 'error' => $error, 'value' => $value]], $errors);
    }

    /** @return iterable<string, array{string, string, string, string}> */
    public static function wrong(): iterable
    {
        yield 'no name' => [',joint,O,3', 'name', 'no_name', ''];
        yield 'no kind' => ['J,valve,O,3', 'kind', 'kind', 'valve'];
        yield 'fed from nowhere' => ['J,joint,X,3', 'from', 'from', 'X'];
        yield 'fed from itself' => ['J,joint,J,3', 'from', 'from', 'J'];
        yield 'fed from nothing' => ['J,joint,,3', 'from', 'from', ''];
        yield 'no length' => ['J,joint,O,', 'length', 'no_length', ''];
        yield 'a length of words' => ['J,joint,O,long', 'length', 'figure', 'long'];
        yield 'a tube without a unit' => ['J,joint,O,3,,3/8', 'liquid', 'figure', '3/8'];
        yield 'ports of words' => ['B,box,O,3,,,,four', 'ports', 'ports', 'four'];
        yield 'capped of words' => ['B,box,O,3,,,,4,,last', 'capped', 'ports', 'last'];
    }

    public function testANameTwiceAndAHeadWithoutNames(): void
    {
        self::assertSame(['twice'], array_column(TreeTable::read(self::HEAD . "\nO,outdoor,,,,,,,28\nJ,joint,O,3\nJ,joint,O,3\n")->errors, 'error'));
        foreach (['', "a,b\n1,2", "name,length\nO,3"] as $csv) {
            self::assertSame(['columns'], array_column(TreeTable::read($csv)->errors, 'error'), $csv);
        }
    }

    public function testOnlyTheFirstOutdoorUnitHangsOnNothing(): void
    {
        $told = fn (string ...$lines): array => array_column(TreeTable::read(self::HEAD . "\n" . implode("\n", $lines) . "\n")->errors, 'error', 'line');
        self::assertSame([], $told('O,outdoor,,,,,,,28,,,,,,,'));
        self::assertSame([2 => 'no_length'], array_diff_key($told('T,joint,,,,,,,,,,,,,,', 'O,outdoor,T,3,,,,,28,,,,,,,'), [3 => 1]), 'a joint at the head of the table');
        self::assertSame([3 => 'no_length'], $told('O,outdoor,,,,,,,28,,,,,,,', 'O2,outdoor,,,,,,,28,,,,,,,'), 'a further module feeds a joint');
    }
}
