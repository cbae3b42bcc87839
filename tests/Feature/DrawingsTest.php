<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Records\Drawings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What was seen on the bench stands on paper too, with the same figures. */
final class DrawingsTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, list<string>, array<string, int>}> a drawing, the words on it, how often each element is there */
    public static function drawings(): iterable
    {
        yield 'a ranking' => [
            ['shape' => 'ranking', 'limit' => 0.4, 'features' => [['name' => 'SH', 'value' => 1.4], ['name' => 'SC', 'value' => -2], ['name' => 'amps', 'value' => 0.9]], 'causes' => [['name' => 'low charge', 'value' => 0.41, 'speaks' => [1, 0.5, -0.5]], ['name' => 'high load', 'value' => 0.39, 'speaks' => [0, null, 0.25]]]],
            ['SH', 'high', 'SC', 'low', 'amps', 'ok', 'low charge', '41%', 'high load', '39%'],
            ['circle' => 3, 'path' => 1],
        ];
        yield 'stairs' => [
            ['shape' => 'stairs', 'unit' => 'inH2O', 'limit' => 0.8, 'bars' => [['name' => 'return', 'value' => 0.43, 'is' => 'stop'], ['name' => 'filter', 'value' => 0.12, 'is' => 'plain'], ['name' => 'supply', 'value' => 0.12, 'is' => 'plain']]],
            ['0.43', 'return', '0.12', 'filter', '0.12', 'supply', '0.8 in. w.c.'],
            ['rect' => 3, 'line' => 1],
        ];
        yield 'air through a coil' => [
            ['shape' => 'psychrometric', 'joined' => true, 'units' => 'us', 'lines_of' => [['humidity' => 50, 'points' => [[0, 1.9], [20, 7.3], [40, 23]]], ['humidity' => 100, 'points' => [[0, 3.8], [20, 14.7]]]], 'spots' => [['name' => 'return', 'x' => 26.7, 'y' => 11.2], ['name' => 'should leave', 'x' => 16, 'y' => 9], ['name' => 'supply', 'x' => 15, 'y' => 9]]],
            ['50%', '100%', 'return 80 °F', 'should leave 61 °F', 'supply 59 °F'],
            ['circle' => 3, 'path' => 3, 'line' => 1],
        ];
        $rungs = [['name' => 'cool', 'n' => 1, 'kind' => 'cool', 'on' => 24.17, 'off' => 23.61, 'busiest' => 3], ['name' => 'heat', 'n' => 1, 'kind' => 'heat', 'on' => 20.28, 'off' => 20.83, 'busiest' => 0]];
        yield 'a ladder' => [
            ['shape' => 'ladder', 'units' => 'us', 'rungs' => $rungs, 'setpoints' => ['cool' => 23.333, 'heat' => 21.111], 'economizer' => 22.222, 'trace' => []],
            ['cool 74°', 'heat 70°', 'economizer 72°', '68.5°', 'heat 1', '75.5°', 'cool 1'],
            ['rect' => 4, 'line' => 3, 'path' => 0],
        ];
        yield 'a ladder and its day' => [
            ['shape' => 'ladder', 'units' => 'si', 'rungs' => $rungs, 'setpoints' => ['cool' => 23.333, 'heat' => 21.111], 'economizer' => null, 'trace' => [[0, 22, 20], [12, 24.4, 33], [23.9, 22, 20]]],
            ['cool 23.3°', 'heat 21.1°', '20.3°', 'heat 1', '24.2°', 'cool 1', '0 h', '12 h', '24 h'],
            ['rect' => 4, 'line' => 4, 'path' => 1],
        ];
        yield 'bars with their limit' => [
            ['shape' => 'bars', 'unit' => '%', 'limit' => 100, 'bars' => [['name' => 'of the RCL', 'value' => 82, 'is' => 'plain'], ['name' => 'unread', 'value' => null]]],
            ['of the RCL', '82%'],
            ['rect' => 1, 'line' => 1],
        ];
        yield 'a column' => [
            ['shape' => 'column', 'filled' => 14.25, 'is' => 'plain', 'parts' => [['name' => 'factory', 'value' => 14.25, 'text' => '14 lb 4 oz'], ['name' => 'for the lines', 'value' => 4.9, 'text' => '4 lb 14 oz']], 'large' => ['name' => 'to go', 'text' => '4 lb 14 oz']],
            ['factory', '14 lb 4 oz', 'for the lines', '4 lb 14 oz', '4 lb 14 oz', 'to go'],
            ['rect' => 2, 'line' => 2],
        ];
        yield 'a curve with its fit' => [
            ['shape' => 'curve', 'unit' => 'micron', 'across' => 'min', 'decades' => true, 'from' => 0, 'points' => [[0, 300], [5, 320], [10, 330]], 'fit' => [[0, 300], [20, 340]], 'band' => [], 'lines' => [['name' => 'has to stay under', 'value' => 500, 'is' => 'stop']]],
            ['has to stay under 500 microns', '300', '330 microns', '20 min'],
            ['circle' => 3, 'path' => 2, 'line' => 1],
        ];
        yield 'a hold with its band' => [
            ['shape' => 'curve', 'unit' => 'psig', 'across' => 'h', 'decades' => false, 'from' => 0, 'points' => [[0, 450], [14, 437.5]], 'fit' => [], 'band' => [[0, 450, 450], [14, 435, 441]], 'lines' => []],
            ['450', '437.5 psig', '14 h'],
            ['circle' => 2, 'path' => 2, 'line' => 0],
        ];
        yield 'air around its coil' => [
            ['shape' => 'psychrometric', 'joined' => false, 'units' => 'us', 'lines_of' => [['humidity' => 100, 'points' => [[0, 3.8], [20, 14.7]]]], 'spots' => [['name' => 'return', 'x' => 26.7, 'y' => 11.2]], 'coil' => [['at' => 'outdoor_air', 'name' => 'outdoor air', 'text' => '95 °F'], ['at' => 'return_air', 'name' => 'return', 'text' => '78 °F'], ['at' => 'should_leave', 'name' => 'should leave', 'text' => '59 °F'], ['at' => 'leaves', 'name' => 'supply', 'text' => '62 °F']]],
            ['outdoor air', '95 °F', 'return', '78 °F', 'should leave', '59 °F', 'supply', '62 °F', '100%', 'return 80 °F'],
            ['rect' => 1, 'circle' => 1],
        ];
        yield 'wires between two ends' => [
            ['shape' => 'wires', 'circuits' => [['name' => 'bus', 'wires' => [['colour' => 'red', 'near' => 'S1', 'far' => 'S2', 'is' => 'stop'], ['colour' => 'black', 'near' => 'S2', 'far' => '', 'is' => 'watch'], ['colour' => 'blue', 'near' => '', 'far' => 'S1', 'is' => 'watch']]]]],
            ['bus', 'red', 'black', 'blue', 'S1', 'S2', 'S1', 'S2'],
            ['line' => 3],
        ];
        yield 'a tree with an open port and a limit that is passed' => [
            ['shape' => 'tree', 'nodes' => [['id' => 'O', 'kind' => 'outdoor', 'x' => 0, 'layer' => 0], ['id' => 'J', 'kind' => 'joint', 'x' => 0, 'layer' => 1], ['id' => 'B', 'kind' => 'box', 'x' => 0, 'layer' => 2, 'ports' => [['port' => 1, 'is' => 'open']]], ['id' => '1', 'kind' => 'indoor', 'x' => 0, 'layer' => 3, 'room' => 'Office', 'capacity' => '2 kW']],
                'pipes' => [['from' => 'O', 'to' => 'J', 'length' => '60 ft', 'gas' => '7/8 in.'], ['from' => 'B', 'to' => 'J', 'length' => '20 ft'], ['from' => 'B', 'to' => '1', 'length' => '9 ft'], ['from' => 'B', 'to' => 'nowhere', 'length' => '1 ft']],
                'limits' => [['name' => 'all piping', 'value' => '89 ft', 'limit' => '80 ft', 'share' => 1.1, 'is' => 'stop', 'path' => ['O', '1']]]],
            ['60 ft · 7/8 in.', '20 ft', '9 ft', 'O', 'J', 'B', '1  Office · 2 kW', 'all piping', '89 ft of 80 ft', 'O > 1'],
            ['rect' => 2, 'circle' => 1, 'path' => 4],
        ];
        yield 'a dome' => [
            ['shape' => 'dome', 'refrigerant' => 'R-410A', 'low' => 9e5, 'high' => 25e5, 'bubble' => [[200, 9e5], [260, 25e5]], 'dew' => [[420, 9e5], [424, 25e5]], 'suction' => ['from' => 420, 'to' => 430], 'liquid' => ['from' => 260, 'to' => 250], 'figures' => ['superheat' => ['value' => 12.34, 'unit' => 'delta_degF'], 'superheat_off' => ['value' => 1.92, 'unit' => 'delta_degF'], 'low' => ['value' => 118.4, 'unit' => 'psig']]],
            ['superheat 12.3 ± 1.9 °F', 'subcooling', 'low side 118 psig', 'high side', 'R-410A'],
            ['path' => 4],
        ];
    }

    /**
     * @param array<string, mixed> $drawing
     * @param list<string> $words
     * @param array<string, int> $elements
     */
    #[DataProvider('drawings')]
    public function testADrawingHasItsFiguresAndItsMarks(array $drawing, array $words, array $elements): void
    {
        $svg = simplexml_load_string(Drawings::drawn($drawing));
        self::assertNotFalse($svg);
        self::assertSame($words, array_map(fn (\SimpleXMLElement $one): string => (string) $one, $this->all($svg, 'text')));
        foreach ($elements as $name => $count) {
            self::assertCount($count, $this->all($svg, $name), $name);
        }
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function nothing(): iterable
    {
        yield 'no node' => [['shape' => 'tree', 'nodes' => []]];
        yield 'no wire' => [['shape' => 'wires', 'circuits' => []]];
        yield 'no step' => [['shape' => 'stairs', 'bars' => []]];
        yield 'no stage' => [['shape' => 'ladder', 'rungs' => [], 'setpoints' => ['cool' => 23, 'heat' => 21]]];
        yield 'no air' => [['shape' => 'psychrometric', 'spots' => [], 'lines_of' => []]];
        yield 'no cause' => [['shape' => 'ranking', 'features' => [['name' => 'SH', 'value' => 1]], 'causes' => []]];
        yield 'nothing in the column' => [['shape' => 'column', 'filled' => 0, 'parts' => []]];
        yield 'no reading' => [['shape' => 'curve', 'points' => []]];
        yield 'no pressure' => [['shape' => 'dome', 'low' => 0, 'high' => 0]];
        yield 'bars nobody measured' => [['shape' => 'bars', 'bars' => [['name' => 'one', 'value' => null]]]];
    }

    /** @param array<string, mixed> $drawing */
    #[DataProvider('nothing')]
    public function testWhatHasNothingToShowIsNotDrawn(array $drawing): void
    {
        self::assertSame('', Drawings::drawn($drawing));
    }

    /** @return list<\SimpleXMLElement> in their order */
    private function all(\SimpleXMLElement $svg, string $name): array
    {
        return array_values($svg->xpath("//*[local-name()='$name']") ?: []);
    }
}
