<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Diagnose;

use IronStart\Core\Diagnose\Causes;
use PHPUnit\Framework\TestCase;

/** What must hold of the table of causes, whatever is added to it. */
final class CausesTest extends TestCase
{
    public function testWhatAFactHoldsWhateverExplainsIt(): void
    {
        $must = [];
        foreach (Causes::facts() as $fact) {
            if (Causes::must($fact) !== []) {
                $must[$fact] = implode(' ', Causes::must($fact));
            }
        }
        ksort($must);
        self::assertSame([
            'acid' => 'oil_acid', 'breaker_tripped' => 'insulation', 'compressor_grounded' => 'compressor_isolated', 'compressor_open' => 'compressor_isolated',
            'crankcase_heater_off' => 'crankcase_heater', 'fuse_blown' => 'insulation', 'panels_left_in' => 'panels', 'single_phasing' => 'phases', 'supply_reversed' => 'rotation',
        ], $must);
    }

    public function testNothingDangerousIsEnergisedBeforeItIsDone(): void
    {
        $holds = array_filter(array_map(fn (array $cause): string => implode(' ', $cause['hold']), Causes::all()));
        self::assertSame([
            'reversed_supply_killed_compressor' => 'rotation compressor_isolated', 'reversed_supply' => 'rotation', 'lost_phase_burnt_motor' => 'phases compressor_isolated', 'lost_phase' => 'phases',
            'load_reversed' => 'load_leads', 'wrong_tap' => 'control_voltage', 'burnt_contactor' => 'contactor', 'liquid_killed_compressor' => 'compressor_isolated liquid_source',
            'burnt_compressor' => 'compressor_isolated', 'drain' => 'pan', 'gas_shut' => 'gas_joints',
        ], $holds);
    }

    public function testOneFaultUpstreamIsOneOfThree(): void
    {
        self::assertSame(['supply_reversed' => 'rotation', 'single_phasing' => 'phases', 'voltage_sags_on_start' => 'voltage_at_start'], Causes::feeder());
        $electric = array_keys(array_filter(Causes::all(), fn (array $cause): bool => $cause['electric']));
        self::assertSame(['reversed_supply_killed_compressor', 'reversed_supply', 'lost_phase_burnt_motor', 'lost_phase', 'weak_supply'], $electric);
    }

    public function testEveryWordIsOneOfTheClosedLists(): void
    {
        self::assertCount(20, Causes::all());
        self::assertCount(53, Causes::facts());
        self::assertCount(35, Causes::what());
        foreach (Causes::all() as $name => $cause) {
            self::assertNotSame([], $cause['root'], $name);
            self::assertSame([], array_diff([...$cause['inspect'], ...$cause['sisters'], ...$cause['hold']], Causes::what()), $name);
            self::assertSame([], array_intersect($cause['root'], [...$cause['with'], ...$cause['explains']]), "$name explains its own root");
        }
        foreach (Causes::facts() as $fact) {
            self::assertSame([], array_diff([...Causes::look($fact), ...Causes::must($fact)], Causes::what()), $fact);
        }
    }

    public function testAFactThatIsNeverARootHasSomethingToLookAt(): void
    {
        $roots = array_merge([], ...array_values(array_map(fn (array $cause): array => $cause['root'], Causes::all())));
        self::assertSame([], array_values(array_filter(array_diff(Causes::facts(), $roots), fn (string $fact): bool => Causes::look($fact) === [])));
    }
}
