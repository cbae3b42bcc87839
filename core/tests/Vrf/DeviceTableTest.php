<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Vrf;

use IronStart\Core\Tests\Judges;
use IronStart\Core\Vrf\DeviceTable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Addresses from a table, and what is wrong by line. */
final class DeviceTableTest extends TestCase
{
    use Judges;

    private const TABLE = "name,kind,box,address,group,main,bus\nOU1,outdoor,,1,,,\nB1,branch box,,51,,,\nI1,Indoor,B1,1,hall,yes,1\nI2,indoor,B1,2,hall,,1\n";

    public function testATableIsTheDevicesOfTheCheck(): void
    {
        $table = DeviceTable::read(self::TABLE);
        self::assertSame([], $table->errors);
        self::assertSame([
            ['id' => 'OU1', 'kind' => 'outdoor', 'address' => 1], ['id' => 'B1', 'kind' => 'box', 'address' => 51],
            ['id' => 'I1', 'kind' => 'indoor', 'bus' => '1', 'box' => 'B1', 'address' => 1, 'group' => 'hall', 'main' => true],
            ['id' => 'I2', 'kind' => 'indoor', 'bus' => '1', 'box' => 'B1', 'address' => 2, 'group' => 'hall'],
        ], $table->devices);
        self::assertSame('clear', self::judge('vrf.addresses', ['devices' => $table->devices, 'powered' => false])->status->value);
    }

    public function testItsColumnsStandInAnyOrder(): void
    {
        self::assertSame([['id' => 'I1', 'kind' => 'indoor', 'address' => 7]], DeviceTable::read("\u{FEFF}Address;notes; Kind;Name\r\n7;x;indoor;I1\r\n\r\n")->devices);
        foreach (['y' => true, 'TRUE' => true, '1' => true, 'x' => true, 'no' => null, '' => null] as $word => $main) {
            self::assertSame($main, DeviceTable::read("name,kind,main\nI1,indoor,$word\n")->devices[0]['main'] ?? null, (string) $word);
        }
    }

    public function testWithAsManySemicolonsAsCommasTheCommasCount(): void
    {
        self::assertSame([['id' => 'I1', 'kind' => 'indoor']], DeviceTable::read("name,kind,a;b;c\nI1,indoor,x\n")->devices);
    }

    public function testARangeOfOneAddressIsOne(): void
    {
        $devices = DeviceTable::read(self::TABLE)->devices;
        $range = fn (int $min, int $max): array => ['devices' => $devices, 'powered' => false, 'ranges' => ['box' => ['min' => $min, 'max' => $max]]];
        self::assertSame('', self::refused('vrf.addresses', $range(51, 51))[0]);
        self::assertSame('ranges.box.max', self::refused('vrf.addresses', $range(52, 51))[0]);
    }

    /** @return iterable<string, array{string, array{int, string, string, string}}> a line more, and what is wrong with it */
    public static function wrong(): iterable
    {
        yield 'no name' => [',indoor,,3,,,', [6, 'name', 'no_name', '']];
        yield 'twice' => ['I1,indoor,,3,,,', [6, 'name', 'twice', 'I1']];
        yield 'no kind' => ['V,valve,,3,,,', [6, 'kind', 'device_kind', 'valve']];
        yield 'another box' => ['I3,indoor,B9,3,,,', [6, 'box', 'box', 'B9']];
        yield 'a unit as box' => ['I3,indoor,I1,3,,,', [6, 'box', 'box', 'I1']];
        yield 'no address' => ['I3,indoor,B1,3a,,,', [6, 'address', 'address', '3a']];
        yield 'an address below nothing' => ['I3,indoor,B1,-3,,,', [6, 'address', 'address', '-3']];
    }

    /** @param array{int, string, string, string} $error */
    #[DataProvider('wrong')]
    public function testALineThatIsWrongIsTold(string $line, array $error): void
    {
        self::assertSame([$error], array_map(fn (array $one): array => [$one['line'], $one['column'], $one['error'], $one['value']], DeviceTable::read(self::TABLE . "$line\n")->errors));
    }

    public function testWithoutItsColumnsNothingIsRead(): void
    {
        foreach (["a,b\n1,2\n", '', "name,address\nI1,3\n"] as $csv) {
            $table = DeviceTable::read($csv);
            self::assertSame([[], 'device_columns', 'name, kind, box, address, group, main, bus'], [$table->devices, $table->errors[0]['error'] ?? '', $table->errors[0]['value'] ?? '']);
        }
    }
}
