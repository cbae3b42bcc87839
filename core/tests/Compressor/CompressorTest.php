<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Compressor;

use IronStart\Core\Core;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CompressorTest extends TestCase
{
    /** Copper: 5 ohm at 20 °C is 5·(1 + 0.00393·8) = 5.1572 ohm at 28 °C (worked by hand). */
    public function testTheSheetsOhmsAreCarriedToTheWindingsTemperature(): void
    {
        $verdict = $this->judge('compressor.windings', ['ohms_ab' => '5.2 ohm', 'ohms_bc' => '5.2 ohm', 'ohms_ca' => '5.2 ohm', 'plate_ohms' => '5 ohm', 'at_temperature' => '28 degC']);
        self::assertEqualsWithDelta(5.1572, $verdict['values']['expected']['value'], 1e-9);
        self::assertSame('clear', $verdict['status']);
    }

    public function testASheetGivenWarmIsExpectedLowerWhenCold(): void
    {
        $verdict = $this->judge('compressor.windings', ['ohms_ab' => '5 ohm', 'ohms_bc' => '5 ohm', 'ohms_ca' => '5 ohm', 'plate_ohms' => '5 ohm', 'plate_temperature' => '25 degC', 'at_temperature' => '10 degC']);
        self::assertLessThan(5.0, $verdict['values']['expected']['value']);
    }

    public function testAnOpenPairIsAStopWhateverElseIsMissing(): void
    {
        $verdict = $this->judge('compressor.windings', ['ohms_bc' => ['open_circuit' => true]]);
        self::assertSame(['stop', ['open_winding'], []], [$verdict['status'], $verdict['codes'], $verdict['values']]);
    }

    public function testAnOrdinaryMetersLastDigitCondemnsNothing(): void
    {
        $ohms = ['ohms_ab' => '0.5 ohm', 'ohms_bc' => '0.5 ohm', 'ohms_ca' => '0.6 ohm'];
        self::assertSame(['needs_low_ohm_meter'], $this->judge('compressor.windings', $ohms)['codes']);
        self::assertSame(['spread_over_limit'], $this->judge('compressor.windings', ['meter' => 'low_ohm'] + $ohms)['codes']);
    }

    /** @return iterable<string, array{string, string, list<string>}> */
    public static function bands(): iterable
    {
        yield 'grounded' => ['0.49 Mohm', 'stop', ['grounded']];
        yield 'at the limit' => ['0.5 Mohm', 'watch', ['insulation_poor']];
        yield 'poor' => ['1.9 Mohm', 'watch', ['insulation_poor']];
        yield 'moist' => ['2 Mohm', 'watch', ['insulation_moist']];
        yield 'with a note' => ['20 Mohm', 'clear', ['insulation_note']];
        yield 'good' => ['100 Mohm', 'clear', []];
    }

    /** @param list<string> $codes */
    #[DataProvider('bands')]
    public function testTheBandsAreInclusiveOnTheMilderSide(string $megohms, string $status, array $codes): void
    {
        $verdict = $this->judge('compressor.insulation', ['megohms' => $megohms, 'instrument' => 'megohmmeter_500', 'system_state' => 'pressurised', 'warmed' => true]);
        self::assertSame([$status, $codes], [$verdict['status'], $verdict['codes']]);
    }

    public function testNeitherVacuumNorADriveOnTheTerminalsIsEverTested(): void
    {
        self::assertSame(['no_insulation_test_in_vacuum'], $this->judge('compressor.insulation', ['instrument' => 'megohmmeter_500', 'system_state' => 'vacuum'])['codes']);
        self::assertSame(['disconnect_drive'], $this->judge('compressor.insulation', ['instrument' => 'megohmmeter_1000', 'drive_connected' => true])['codes']);
        self::assertSame(['not_a_proof'], $this->judge('compressor.insulation', ['megohms' => '50 Mohm', 'instrument' => 'multimeter', 'system_state' => 'vacuum'])['codes']);
    }

    public function testAMotorStandardHalvesForEveryTenDegrees(): void
    {
        $at = fn (string $t): float => $this->judge('compressor.insulation', ['megohms' => '40 Mohm', 'instrument' => 'megohmmeter_500', 'system_state' => 'open', 'school' => 'motor_standard', 'winding_temperature' => $t])['values']['at_40']['value'];
        self::assertEqualsWithDelta(40.0, $at('40 degC'), 1e-9);
        self::assertEqualsWithDelta(20.0, $at('30 degC'), 1e-9);
        self::assertEqualsWithDelta(80.0, $at('122 degF'), 1e-9);
    }

    public function testTheWorstSignMakesTheCleanUp(): void
    {
        $plan = fn (string $acid, string $failure, string $colour): string => $this->judge('compressor.acid', ['oil_acid' => $acid, 'failure' => $failure, 'oil_colour' => $colour, 'oil_type' => 'POE', 'lines_reused' => false])['codes'][0];
        self::assertSame('standard', $plan('none', 'mechanical', 'clear'));
        self::assertSame('cleanup', $plan('slight', 'mechanical', 'clear'));
        self::assertSame('cleanup', $plan('none', 'mechanical', 'dark'));
        self::assertSame('severe', $plan('none', 'mechanical', 'black'));
        self::assertSame('severe', $plan('not_tested', 'electrical_burnout', 'clear'));
        self::assertSame('test_first', $plan('not_tested', 'unknown', 'clear'));
    }

    /**
     * @param array<string, mixed> $input
     * @return array<string, mixed>
     */
    private function judge(string $check, array $input): array
    {
        return json_decode((string) json_encode(Core::judge()->judge($check, json_decode((string) json_encode($input)), 'us')->toArray()), true);
    }
}
