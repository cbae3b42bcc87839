<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Sheet;

use IronStart\Core\Check\Field;
use IronStart\Core\Judge\Registry;
use IronStart\Core\Power\PlateVoltage;
use IronStart\Core\Sheet\EquipmentSheet;
use IronStart\Core\Sheet\TypedOver;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a sheet gives to each check, and what it knows of a machine. */
final class EquipmentSheetTest extends TestCase
{
    private const BODY = [
        'electrical' => [
            'plate_voltage' => '460V-3Ph-60Hz', 'frequency' => '60 Hz', 'phases' => 3, 'mca' => '32.8 A', 'mocp' => '40 A', 'terminal_rating' => 75, 'volts_min' => '', 'supplies' => 2, 'bus_wait' => '4 min',
            'motors' => [
                ['name' => 'C1', 'kind' => 'scroll', 'drive' => 'across_line', 'phases' => 3, 'amps' => '9.7 A', 'locked_rotor_amps' => '68 A', 'ohms' => '3.1 ohm'],
                ['name' => 'C2', 'kind' => 'screw', 'drive' => 'part_winding', 'amps' => '19 A', 'locked_rotor_amps' => '140 A', 'ohms' => '1.2 ohm', 'ohms_temperature' => '77 degF'],
                ['name' => 'Blower', 'kind' => 'blower', 'drive' => 'inverter', 'amps' => '7.6 A', 'locked_rotor_amps' => '400 A', 'bus_wait' => '600 s'],
                ['name' => 'Fan', 'kind' => 'condenser_fan', 'drive' => 'ecm', 'phases' => 1, 'amps' => '1.3 A', 'quantity' => 2],
            ],
            'transformer' => ['taps' => ['460 V', '480 V'], 'secondary_nominal' => '24 V'],
        ],
        'circuits' => [
            ['name' => 'A', 'oil' => 'POE', 'compressors' => ['C1'], 'ships_with' => 'nitrogen'],
            ['name' => 'B', 'oil' => 'PVE', 'compressors' => ['C2'], 'ships_with' => 'charge'],
        ],
        'air' => ['drive' => ['turns' => 2.5]],
        'controls' => ['defaults' => ['Off time' => '3 min', 'Fan' => true], 'codes' => [['code' => 'F3', 'kind' => 'fault', 'meaning' => 'no flame', 'causes' => [['what' => 'no gas', 'cheap_test' => 'read the inlet']]]]],
        'form' => [['question' => 'Filters in place', 'check' => 'list.set']],
        'heat' => ['gas' => ['input' => '180000 Btu/h'], 'electric' => []],
    ];

    /** @return iterable<string, array{string, string, array<string, mixed>}> check, subject, what it is given */
    public static function fills(): iterable
    {
        yield 'voltage: the plate in the core\'s own form, no empty limits' => ['power.voltage', 'machine', ['plate_voltage' => '460/3/60']];
        yield 'circuit' => ['power.circuit', 'machine', ['mca' => '32.8 A', 'mocp' => '40 A', 'terminal_rating' => 75, 'phases' => 3]];
        yield 'control' => ['power.control_voltage', 'machine', ['taps' => ['460 V', '480 V'], 'secondary_nominal' => '24 V']];
        yield 'lockout: a drive, its longest wait, two supplies' => ['power.lockout', 'machine', ['sheet_wait' => '600 s', 'stored_energy' => true, 'phases' => 3, 'supplies' => 2]];
        yield 'windings of each compressor' => ['compressor.windings', 'compressor:C2', ['plate_ohms' => '1.2 ohm', 'plate_temperature' => '77 degF']];
        yield 'windings of the first' => ['compressor.windings', 'compressor:C1', ['plate_ohms' => '3.1 ohm', 'phases' => 3]];
        yield 'windings of no one' => ['compressor.windings', 'compressor:C9', []];
        yield 'settings as the maker has them' => ['controls.settings', 'machine', ['items' => [['name' => 'Fan', 'kind' => 'exact', 'required' => true], ['name' => 'Off time', 'kind' => 'exact', 'required' => '3 min']]]];
        yield 'codes with their causes' => ['entry.code', 'machine', ['known' => [['name' => 'F3', 'kind' => 'fault', 'meaning' => 'no flame', 'causes' => [['what' => 'no gas', 'cheap_test' => 'read the inlet']]]]]];
        yield 'the questions of a form' => ['entry.maker_form', 'machine', ['items' => [['name' => 'Filters in place']]]];
        yield 'starts of a first run: air, then each compressor, then heat' => ['run.first_start', 'machine', ['steps' => [
            ['name' => 'Blower', 'kind' => 'blower', 'drive' => 'inverter', 'plate_amps' => '7.6 A'], ['name' => 'C1', 'kind' => 'scroll', 'drive' => 'across_line', 'plate_amps' => '9.7 A'],
            ['name' => 'C2', 'kind' => 'screw', 'drive' => 'across_line', 'plate_amps' => '19 A'], ['name' => 'Heat', 'kind' => 'heat'],
        ]]];
        yield 'a new compressor: what comes out, and the loads that stay' => ['compressor.match', 'compressor:C1', [
            'phases' => 3, 'old' => ['kind' => 'scroll', 'rla' => '9.7 A', 'oil' => 'POE', 'start' => 'across_line'], 'other_amps' => '29.2 A', 'other_largest' => '19.0 A',
        ]];
        yield 'terminals: the compressors it calls' => ['controls.terminals', 'machine', ['machine' => ['compressors' => 2]]];
        yield 'acid of a circuit' => ['compressor.acid', 'circuit:B', ['oil_type' => 'PVE']];
        yield 'acid of a compressor' => ['compressor.acid', 'compressor:C1', ['oil_type' => 'POE']];
        yield 'acid of a machine with two oils' => ['compressor.acid', 'machine', []];
    }

    /** @param array<string, mixed> $given */
    #[DataProvider('fills')]
    public function testACheckIsFilled(string $check, string $subject, array $given): void
    {
        self::assertEquals($given, (new EquipmentSheet(self::BODY))->fill((new Registry())->get($check)->fields(), $subject));
    }

    public function testMotorsAreFilledOneByOneThoseOfAPairNumbered(): void
    {
        $loads = (new EquipmentSheet(self::BODY))->fill((new Registry())->get('power.rotation')->fields(), 'machine')['loads'];
        self::assertSame(['C1', 'C2', 'Blower', 'Fan 1', 'Fan 2'], array_column($loads, 'name'));
        self::assertSame(['name' => 'C1', 'kind' => 'scroll', 'drive' => 'across_line', 'plate_amps' => '9.7 A'], $loads[0]);
        $plate = (new EquipmentSheet(self::BODY))->fill((new Registry())->get('power.plate_math')->fields(), 'machine');
        self::assertSame(2, $plate['motors'][3]['quantity'], 'the nameplate counts a pair once');
    }

    public function testAPlateWithAmpsByVoltageIsReadByThem(): void
    {
        $body = ['electrical' => ['motors' => [['name' => 'C1', 'kind' => 'scroll', 'drive' => 'across_line', 'amps' => '9 A', 'plate_points' => [['volts' => '208 V', 'amps' => '20 A'], ['volts' => '230 V', 'amps' => '18 A']]]]]];
        $load = (new EquipmentSheet($body))->fill((new Registry())->get('power.running_amps')->fields(), 'machine')['loads'][0];
        self::assertArrayNotHasKey('plate_amps', $load);
        self::assertCount(2, $load['plate_points']);
    }

    public function testTheLargestInrushIsOfAMotorThatStartsOnTheLine(): void
    {
        self::assertSame('140 A', (new EquipmentSheet(self::BODY))->figure('electrical.locked_rotor_amps', 'machine'));
        self::assertNull((new EquipmentSheet([]))->figure('electrical.locked_rotor_amps', 'machine'));
    }

    public function testARunWithoutCompressorsOrHeatHasFewerStarts(): void
    {
        $starts = fn (array $body): mixed => (new EquipmentSheet($body))->figure('first_start', 'machine');
        self::assertSame([], $starts(['heat' => ['gas' => []]]));
        $pump = ['name' => 'P', 'kind' => 'pump', 'drive' => 'across_line', 'amps' => '2 A'];
        self::assertSame(['P'], array_column($starts(['electrical' => ['motors' => [$pump]]]), 'name'));
        self::assertSame(['P', 'Heat'], array_column($starts(['electrical' => ['motors' => [$pump]], 'heat' => ['electric' => [['kw' => '5 kW']]]]), 'name'));
        self::assertSame(['P'], array_column($starts(['electrical' => ['motors' => [$pump]], 'heat' => ['electric' => []]]), 'name'));
    }

    public function testTheOrificesAreThoseOfTheCircuitsThatHaveAny(): void
    {
        $table = fn (string $size): array => [['outdoor' => 'X', 'indoor' => 'Y', 'orifice' => $size]];
        $given = fn (array ...$circuits): mixed => (new EquipmentSheet(['circuits' => $circuits]))->figure('circuit.orifice_table', 'machine');
        [$fixed, $valve] = [['name' => 'A', 'orifice_table' => $table('84')], ['name' => 'B', 'metering' => 'txv']];
        self::assertSame($table('84'), $given($fixed, $valve));
        self::assertNull($given($fixed, ['name' => 'B', 'orifice_table' => $table('78')]), 'two that differ');
        self::assertNull($given($valve));
        self::assertNull((new EquipmentSheet(['circuits' => [['name' => 'A', 'metering' => 'txv'], ['name' => 'B']]]))->figure('circuit.metering', 'machine'), 'what only one has is not shared');
    }

    public function testASplitOrASystemBeginsWithTheBlowerOfAnIndoorUnit(): void
    {
        $starts = fn (string $kind, array ...$motors): array => array_column((array) (new EquipmentSheet(['kind' => $kind, 'electrical' => ['motors' => $motors]]))->figure('first_start', 'machine'), 'kind', 'name');
        $scroll = ['name' => 'C1', 'kind' => 'scroll'];
        self::assertSame(['Indoor blower' => 'blower', 'C1' => 'scroll'], $starts('vrf_outdoor', $scroll));
        self::assertSame(['Indoor blower' => 'blower', 'C1' => 'scroll'], $starts('condensing', $scroll));
        self::assertSame(['C1' => 'scroll'], $starts('rooftop', $scroll), 'a sheet that says nothing of its blower');
        self::assertSame(['B' => 'blower', 'C1' => 'scroll'], $starts('condensing', $scroll, ['name' => 'B', 'kind' => 'blower']));
        self::assertSame([], $starts('vrf_outdoor', ['name' => 'F', 'kind' => 'condenser_fan']));
    }

    public function testTheTimersOfAUnitAndHowLongACompressorStaysOff(): void
    {
        $sheet = fn (array ...$delays): EquipmentSheet => new EquipmentSheet(['controls' => ['delays' => $delays]]);
        $two = $sheet(['what' => 'second stage', 'minutes' => 5], ['what' => 'off_time', 'minutes' => 3.5], ['what' => 'no minutes']);
        self::assertSame([['what' => 'second stage', 'minutes' => 5.0], ['what' => 'off time', 'minutes' => 3.5]], $two->delays());
        self::assertSame('3.5 min', $two->figure('off_time', 'machine'));
        self::assertSame('4 min', $sheet(['what' => 'Compressor off time', 'minutes' => 4])->figure('off_time', 'machine'));
        self::assertNull($sheet(['what' => 'fan off', 'minutes' => 2])->figure('off_time', 'machine'));
    }

    public function testWhatAUnitAsksOfAFeeder(): void
    {
        $motors = [['name' => 'C1', 'kind' => 'scroll', 'amps' => '9.7 A'], ['name' => 'B', 'kind' => 'blower', 'amps' => '7.6 A'], ['name' => 'X', 'kind' => 'blower']];
        self::assertSame(['mca' => '32.8 A', 'largest' => '9.7 A', 'mocp' => '40 A', 'phases' => 3], (new EquipmentSheet(['electrical' => ['mca' => '32.8 A', 'mocp' => '40 A', 'phases' => 3, 'motors' => $motors]]))->onFeeder());
        self::assertSame([], (new EquipmentSheet([]))->onFeeder());
    }

    public function testTheOilOfACompressorIsItsOwnOrItsCircuits(): void
    {
        $oil = fn (array $motor, string $oil): mixed => (new EquipmentSheet(['electrical' => ['motors' => [['name' => 'C1', 'kind' => 'scroll', 'drive' => 'across_line'] + $motor]], 'circuits' => [['name' => 'A', 'compressors' => ['C1'], 'oil' => $oil]]]))->figure('compressor.oil', 'compressor:C1');
        self::assertSame(['mineral', 'AB', 'PVE'], [$oil([], 'MO'), $oil([], 'AB'), $oil(['oil' => 'PVE'], 'POE')]);
        self::assertNull($oil([], 'whale'));
    }

    public function testTheOtherLoadsAreKnownWhereEachOfThemIs(): void
    {
        $others = fn (array ...$motors): mixed => (new EquipmentSheet(['electrical' => ['motors' => [['name' => 'C1', 'kind' => 'scroll', 'drive' => 'across_line', 'amps' => '20 A'], ...$motors]]]))->figure('compressor.other_amps', 'compressor:C1');
        self::assertSame('0.0 A', $others());
        self::assertSame('11.5 A', $others(['name' => 'B', 'kind' => 'blower', 'amps' => '8.5 A'], ['name' => 'F', 'kind' => 'condenser_fan', 'amps' => '1.5 A', 'quantity' => 2]));
        self::assertNull($others(['name' => 'B', 'kind' => 'blower']));
        self::assertNull((new EquipmentSheet([]))->figure('compressor.other_amps', 'machine'));
    }

    public function testMoreThanTwoCompressorsAreNotCalledByName(): void
    {
        $called = fn (int $count): mixed => (new EquipmentSheet(['electrical' => ['motors' => [['name' => 'C', 'kind' => 'scroll', 'drive' => 'across_line', 'quantity' => $count]]]]))->figure('compressors', 'machine');
        self::assertSame([1, 2, null], [$called(1), $called(2), $called(3)]);
        self::assertNull((new EquipmentSheet([]))->figure('compressors', 'machine'));
    }

    public function testTheOnlyCompressorIsTheMachinesOwn(): void
    {
        $one = ['electrical' => ['motors' => [['name' => 'C1', 'kind' => 'reciprocating', 'ohms' => '2 ohm']]]];
        $fields = (new Registry())->get('compressor.windings')->fields();
        self::assertSame(['plate_ohms' => '2 ohm'], (new EquipmentSheet($one))->fill($fields, 'machine'));
        self::assertSame([], (new EquipmentSheet($one))->fill($fields, 'compressor:C2'));
        self::assertSame([], (new EquipmentSheet(self::BODY))->fill($fields, 'machine'), 'of two none is meant');
    }

    public function testABusIsThereWithADriveOrAWait(): void
    {
        $stored = fn (array $electrical): mixed => (new EquipmentSheet(['electrical' => $electrical]))->figure('electrical.stored_energy', 'machine');
        self::assertTrue($stored(['bus_wait' => '5 min']));
        self::assertTrue($stored(['motors' => [['name' => 'B', 'drive' => 'inverter']]]));
        self::assertNull($stored(['motors' => [['name' => 'B', 'drive' => 'ecm']]]));
        self::assertSame('1 h', (new EquipmentSheet(['electrical' => ['bus_wait' => '59 min', 'motors' => [['name' => 'B', 'bus_wait' => '1 h'], ['name' => 'D', 'bus_wait' => ['value' => 10, 'unit' => 'min']]]]]))->figure('electrical.bus_wait', 'machine'));
    }

    public function testWhatASheetKnowsOfAMachine(): void
    {
        $facts = fn (array $body): array => (new EquipmentSheet($body))->facts();
        self::assertSame(['gas_heat', 'belt'], $facts(self::BODY));
        self::assertSame([], $facts([]));
        self::assertSame(['single_phase'], $facts(['electrical' => ['phases' => 1]]));
        self::assertSame(['electric_heat'], $facts(['heat' => ['electric' => ['kw' => 9]]]));
        self::assertSame(['flammable'], $facts(['circuits' => [['name' => 'A', 'refrigerant' => 'R-410A'], ['name' => 'B', 'refrigerant' => 'R-454B']]]));
        self::assertSame([], $facts(['circuits' => [['name' => 'A', 'refrigerant' => 'R-410A'], ['name' => 'B', 'refrigerant' => 'water'], ['name' => 'C']]]));
        self::assertSame(['belt'], $facts(['air' => ['blower_drive' => 'belt']]));
        self::assertSame([], $facts(['air' => ['blower_drive' => 'direct', 'drive' => ['turns' => 2]]]), 'direct drive is said');
    }

    public function testItsCircuitsWhatIsOpenedAndWhatStopsWithAPart(): void
    {
        $sheet = new EquipmentSheet(self::BODY);
        self::assertSame([['name' => 'A', 'compressors' => ['C1']], ['name' => 'B', 'compressors' => ['C2']]], $sheet->circuits());
        self::assertSame(['A'], $sheet->opened());
        self::assertSame(['A'], (new EquipmentSheet(['circuits' => [['name' => 'A', 'ships_with' => 'dry'], ['name' => 'B']]]))->opened());
        self::assertSame([['C2'], ['C2'], [], []], array_map($sheet->motorsOf(...), ['compressor:C2', 'circuit:B', 'circuit:Z', 'machine']));
        self::assertSame(['Blower', 'Fan 1', 'Fan 2'], $sheet->fans());
    }

    public function testAPartOfACircuitHasWhatTheCircuitHas(): void
    {
        $sheet = new EquipmentSheet(['circuits' => [['name' => 'A', 'refrigerant' => 'R-32'], ['name' => 'B', 'refrigerant' => 'R-410A']]]);
        self::assertSame(['R-32', 'R-410A', 'R-410A'], array_map(fn (string $subject): mixed => $sheet->figure('circuit.refrigerant', $subject), ['circuit:A/lines', 'circuit:B/', 'circuit:B']));
        self::assertNull($sheet->figure('circuit.refrigerant', 'machine'));
    }

    public function testATypedFigureIsOverTheSheetOnlyWhereItIsAnother(): void
    {
        $fields = (new Registry())->get('power.circuit')->fields();
        $filled = (new EquipmentSheet(self::BODY))->fill($fields, 'machine');
        self::assertSame(['mca' => '32.8 A', 'mocp' => '40 A', 'terminal_rating' => '75', 'phases' => '3'], TypedOver::figures($fields, $filled));
        self::assertSame([], TypedOver::of($fields, $filled, ['mca' => '32.80 A', 'mocp' => ['value' => 40, 'unit' => 'A'], 'breaker' => '60 A']));
        $plate = [Field::parsed('plate_voltage', PlateVoltage::parse(...))->fromSheet('electrical.plate_voltage')];
        $typed = fn (string $sheet, string $typed): array => TypedOver::of($plate, ['plate_voltage' => $sheet], ['plate_voltage' => $typed]);
        foreach ([['460', '460V-3Ph-60Hz'], ['460/3/60', '460'], ['208-230/3/60', '208/230 V']] as [$one, $same]) {
            self::assertSame([], $typed($one, $same));
        }
        foreach ([['460', '230'], ['460/3/60', '460/3/50'], ['460', 'high'], ['208-230', '230']] as [$one, $other]) {
            self::assertSame(['plate_voltage' => ['sheet' => $one, 'typed' => $other]], $typed($one, $other));
        }
        self::assertSame(['mca' => ['sheet' => '32.8 A', 'typed' => '36 A']], TypedOver::of($fields, $filled, ['mca' => '36 A', 'mocp' => '']));
        $loads = (new Registry())->get('power.running_amps')->fields();
        $given = (new EquipmentSheet(self::BODY))->fill($loads, 'machine');
        self::assertSame(['loads.C1.plate_amps' => ['sheet' => '9.7 A', 'typed' => '12 A']], TypedOver::of($loads, $given, ['loads' => [['name' => 'C1', 'plate_amps' => '12 A'], ['name' => 'C2', 'plate_amps' => '19 A']]]));
    }

    public function testWhatWasEnteredOfAFigureItLacksGoesIntoItsNextVersion(): void
    {
        $body = ['model' => 'X', 'electrical' => ['mca' => '30 A', 'motors' => [['name' => 'C1', 'kind' => 'scroll'], ['name' => 'C2', 'kind' => 'scroll'], ['name' => 'Blower', 'kind' => 'blower']]], 'circuits' => [['name' => 'A', 'compressors' => ['C1'], 'oil' => 'POE'], ['name' => 'B', 'compressors' => ['C2']]]];
        $sheet = new EquipmentSheet($body);
        $fields = [
            Field::text('oil')->fromSheet('circuit.oil_type'), Field::text('subcooling')->fromSheet('circuit.target_subcooling'), Field::text('factory')->fromSheet('circuit.factory_charge'),
            Field::text('tons')->fromSheet('air.tons'), Field::text('mca')->fromSheet('electrical.mca'), Field::text('plate')->fromSheet('electrical.plate_voltage'), Field::text('ohms')->fromSheet('compressor.ohms'), Field::text('mine'),
        ];
        $input = ['oil' => 'PVE', 'subcooling' => '12 delta_degF', 'factory' => '9 lb', 'tons' => '20 ton', 'mca' => '31 A', 'plate' => '460 V', 'mine' => 'x', 'ohms' => '1.2 ohm'];
        self::assertSame(['circuit.target_subcooling' => '12 delta_degF', 'air.tons' => '20 ton', 'compressor.ohms' => '1.2 ohm'], $sheet->lacking($fields, 'circuit:A', $input), 'not what it has, what is worked out, or what is no figure of it');
        self::assertSame(['circuit.oil_type' => 'PVE'], array_intersect_key($sheet->lacking($fields, 'circuit:B', $input), ['circuit.oil_type' => 1]));
        self::assertSame([], $sheet->lacking($fields, 'circuit:A', ['subcooling' => '', 'tons' => null]));

        $one = $sheet->with(['circuit.target_subcooling' => '12 delta_degF', 'air.tons' => '20 ton', 'circuit.oil_type' => 'PVE'], 'circuit:B');
        self::assertEquals(['name' => 'B', 'compressors' => ['C2'], 'target_subcooling' => '12 delta_degF', 'oil' => 'PVE'], $one['circuits'][1]);
        self::assertSame($body['circuits'][0], $one['circuits'][0], 'the other circuit stays');
        self::assertSame(['tons' => '20 ton'], $one['air']);
        self::assertSame($body['electrical'], $one['electrical']);
        self::assertSame(['12 K', '12 K'], array_column($sheet->with(['circuit.target_subcooling' => '12 K'], 'machine')['circuits'], 'target_subcooling'), 'of no circuit: of each');
        $motors = $sheet->with(['compressor.ohms' => '1.2 ohm'], 'compressor:C2')['electrical']['motors'];
        self::assertSame([null, '1.2 ohm', null], array_map(fn (array $m): ?string => $m['ohms'] ?? null, $motors));
        $all = $sheet->with(['compressor.ohms' => '1.2 ohm'], 'machine')['electrical']['motors'];
        self::assertSame(['1.2 ohm', '1.2 ohm', null], array_map(fn (array $m): ?string => $m['ohms'] ?? null, $all), 'no fan is a compressor');
        self::assertSame('12 delta_degF', (new EquipmentSheet($one))->figure('circuit.target_subcooling', 'circuit:B'), 'and is found there again');
        self::assertSame($body, $sheet->with([], 'machine'));
        self::assertSame('3 lb', $sheet->with(['weight' => '3 lb'], 'machine')['weight']);
    }

    public function testANewCompressorGoesByItsOwnPlateAndTheRestStays(): void
    {
        $plate = ['kind' => 'rotary', 'rla' => '11 A', 'lra' => '80 A', 'oil' => 'PVE', 'start' => 'star_delta', 'capacity' => '60 MBH', 'suction' => '7/8 in', 'phases' => 3, 'refrigerants' => ['R-32']];
        $sheet = (new EquipmentSheet(self::BODY))->renewed(['C1' => $plate]);
        $loads = self::filled($sheet, 'power.running_amps', 'machine')['loads'];
        self::assertSame(['C1', 'C2', 'Blower', 'Fan 1', 'Fan 2'], array_column($loads, 'name'));
        self::assertSame(['scroll', '11 A'], [$loads[0]['kind'], $loads[0]['plate_amps']], 'a rolling piston pumps one way');
        self::assertSame('across_line', self::filled($sheet, 'power.rotation', 'machine')['loads'][0]['drive'], 'what a load cannot be it stays');
        self::assertSame('soft_starter', self::filled((new EquipmentSheet(self::BODY))->renewed(['C1' => ['start' => 'soft_starter'] + $plate]), 'power.rotation', 'machine')['loads'][0]['drive']);
        self::assertSame(['phases' => 3], self::filled($sheet, 'compressor.windings', 'compressor:C1'), 'nobody knows its ohms');
        self::assertSame('1.2 ohm', self::filled($sheet, 'compressor.windings', 'compressor:C2')['plate_ohms']);
        self::assertEquals(['kind' => 'scroll', 'rla' => '11 A', 'oil' => 'PVE', 'start' => 'across_line', 'capacity' => '60 MBH', 'suction' => '7/8 in'], self::filled($sheet, 'compressor.match', 'compressor:C1')['old']);
        self::assertSame('32.8 A', $sheet->figure('electrical.mca', 'machine'));
        self::assertSame('80 A', $sheet->renewed(['C2' => ['lra' => '60 A'] + $plate])->figure('electrical.locked_rotor_amps', 'machine'));
    }

    public function testWithoutANewOneTheSheetIsItself(): void
    {
        $sheet = new EquipmentSheet(self::BODY);
        self::assertSame($sheet, $sheet->renewed([]));
        self::assertSame('9.7 A', self::filled($sheet->renewed(['C9' => ['kind' => 'scroll', 'rla' => '1 A']]), 'power.running_amps', 'machine')['loads'][0]['plate_amps']);
    }

    /** @return array<string, mixed> */
    private static function filled(EquipmentSheet $sheet, string $check, string $subject): array
    {
        return $sheet->fill((new Registry())->get($check)->fields(), $subject);
    }
}
