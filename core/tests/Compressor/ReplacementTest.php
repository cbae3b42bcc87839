<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Compressor;

use IronStart\Core\Check\Past;
use IronStart\Core\Compressor\Replacement;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A compressor beside the one it replaces: what is worked out, what cannot be, and what the record brings. */
final class ReplacementTest extends TestCase
{
    use Judges;

    private const PLATE = ['kind' => 'scroll', 'rla' => '20 A', 'oil' => 'POE', 'start' => 'across_line', 'capacity' => '60 MBH'];
    private const UNIT = ['refrigerant' => 'R-410A', 'supply_average' => '480 V', 'usable' => '40 A', 'breaker' => '40 A', 'contactor' => '30 A', 'crankcase' => 'not_needed'];

    /** @return array<string, mixed> */
    private static function with(array $new, array $unit = []): array
    {
        return $unit + ['old' => self::PLATE, 'new' => $new + self::PLATE + ['nominals' => [460], 'phases' => 3, 'refrigerants' => ['R-410A'], 'lra' => '100 A']] + self::UNIT;
    }

    public function testTheCircuitIsWorkedOutWithTheNewOne(): void
    {
        $with = fn (string $rla, string $others): array => self::with(['rla' => $rla], ['other_amps' => $others, 'other_largest' => $others]);
        self::assertSame(35.0, self::figure('compressor.match', $with('20 A', '10 A'), 'mca_new'));
        self::assertSame(50.0, self::figure('compressor.match', $with('20 A', '10 A'), 'mocp_new'));
        self::assertSame(47.5, self::figure('compressor.match', $with('10 A', '30 A'), 'mca_new'));
        self::assertSame(15.0, self::figure('compressor.match', self::with(['rla' => '2 A']), 'mocp_new'));
        self::assertSame(800.0, self::figure('compressor.match', self::with(['rla' => '640 A']), 'mocp_new'));
        self::assertNull(self::figure('compressor.match', self::with(['rla' => '640.1 A']), 'mocp_new'));
        self::assertEqualsWithDelta(66.667, (float) self::figure('compressor.match', self::with([]), 'contactor_share'), 1e-3);
        self::assertNull(self::figure('compressor.match', self::with(['start' => 'soft_starter']), 'contactor_share'));
    }

    public function testTheHeaterGivesWhatItsVoltsGive(): void
    {
        $heated = self::with([], ['crankcase' => 'fitted', 'heater_watts' => '70 W', 'heater_volts' => '480 V', 'heater_supply' => '240 V']);
        self::assertSame(17.5, self::figure('compressor.match', $heated, 'heater_at_supply'));
    }

    /** @param array<string, mixed> $new @param array<string, mixed> $unit */
    #[DataProvider('wrong')]
    public function testAPlateThatCannotBeIsRefused(array $new, array $unit, string $field): void
    {
        self::assertSame($field, self::refused('compressor.match', self::with($new, $unit))[0]);
    }

    /** @return iterable<string, array<int, mixed>> */
    public static function wrong(): iterable
    {
        yield 'three phases and a capacitor' => [['start' => 'single_phase'], [], 'new.start'];
        yield 'one phase across the line' => [['phases' => 1], [], 'new.start'];
        yield 'two connections on one plate' => [['nominals' => [230, 460]], [], 'new.nominals'];
        yield 'half as much again and more' => [['nominals' => [301, 200]], [], 'new.nominals'];
        yield 'volts twice' => [['nominals' => [460, 460]], [], 'new.nominals'];
        yield 'a load larger than all of them' => [[], ['other_amps' => '8 A', 'other_largest' => '8.1 A'], 'other_largest'];
    }

    public function testAPlateMayNameVoltsOfOneConnection(): void
    {
        self::assertSame(['', ''], self::refused('compressor.match', self::with(['nominals' => [300, 200]])));
        self::assertSame(['', ''], self::refused('compressor.match', self::with([], ['other_amps' => '8 A', 'other_largest' => '8 A'])));
    }

    public function testADriveAndAStarterAreEachAskedForTheirOwn(): void
    {
        self::assertContains('missing:contactor', self::judge('compressor.match', self::with([], ['contactor' => null]))->codes());
        self::assertNotContains('missing:contactor', self::judge('compressor.match', self::with(['start' => 'inverter'], ['contactor' => null]))->codes());
        self::assertContains('missing:start_parts_new', self::judge('compressor.match', self::with(['start' => 'single_phase', 'phases' => 1]))->codes());
        self::assertContains('missing:heater_supply', self::judge('compressor.match', self::with([], ['crankcase' => 'fitted']))->codes());
        self::assertSame(['missing:old', 'missing:new'], array_slice(self::judge('compressor.match', self::UNIT)->codes(), 0, 2));
    }

    public function testItIsDrawnBesideItsWireAndItsBreaker(): void
    {
        $drawn = self::judge('compressor.match', self::with([], ['usable' => '24 A']))->drawing;
        self::assertSame([['MCA worked out', 25.0, 'stop'], ['wire is good for', 24.0, 'pale'], ['breaker', 40.0, 'pale'], ['MOCP worked out', 45.0, 'pale']], array_map(fn (array $bar): array => [$bar['name'], $bar['value'], $bar['is']], $drawn['bars']));
        self::assertSame([], self::judge('compressor.match', self::UNIT)->drawing);
    }

    public function testTheRecordBringsTheSupplyAndTheCircuit(): void
    {
        $one = fn (string $check, array $input, array $values, int $at): array => ['check' => $check, 'subject' => 'machine', 'status' => 'clear', 'codes' => [], 'input' => $input, 'values' => $values, 'at' => $at];
        $past = new Past([
            $one('power.voltage', [], ['average' => ['value' => 479.5, 'unit' => 'V']], 1),
            $one('power.circuit', ['breaker' => '45 A'], ['usable_ampacity' => ['value' => 50, 'unit' => 'A']], 2),
        ]);
        self::assertSame(['supply_average' => ['value' => 479.5, 'unit' => 'V'], 'usable' => ['value' => 50.0, 'unit' => 'A'], 'breaker' => '45 A'], Replacement::bringsIn($past, 'compressor:C1'));
        self::assertSame([], Replacement::bringsIn(new Past(), 'compressor:C1'));
    }
}
