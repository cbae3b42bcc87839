<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Power;

use Eris\Generator;
use Eris\TestTrait;
use IronStart\Core\Core;
use IronStart\Core\Power\PlateVoltage;
use IronStart\Core\Power\ThreeLegs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Legs, plates, and what must hold of every check on the supply. */
final class ThreePhaseTest extends TestCase
{
    use TestTrait;

    protected function setUp(): void
    {
        $this->seed = 20260508;
    }

    /** 243, 238 and 231 V: average 237.33, furthest leg the third, 2.67 % (worked by hand). */
    public function testTheWorkedUnbalance(): void
    {
        $legs = new ThreeLegs(243, 238, 231);
        self::assertEqualsWithDelta(237.3333, $legs->average, 1e-4);
        self::assertSame(2, $legs->worst);
        self::assertEqualsWithDelta(2.6685, $legs->unbalance(), 1e-4);
    }

    public function testUnbalanceDoesNotCareForOrderOrScale(): void
    {
        $this->limitTo(80)->forAll(Generator\choose(1, 600), Generator\choose(1, 600), Generator\choose(1, 600), Generator\choose(1, 9))->then(function (int $a, int $b, int $c, int $scale): void {
            $u = (new ThreeLegs($a, $b, $c))->unbalance();
            self::assertEqualsWithDelta($u, (new ThreeLegs($c, $a, $b))->unbalance(), 1e-9);
            self::assertEqualsWithDelta($u, (new ThreeLegs($a * $scale, $b * $scale, $c * $scale))->unbalance(), 1e-9);
            self::assertGreaterThanOrEqual(0.0, $u);
        });
        self::assertSame(0.0, (new ThreeLegs(0, 0, 0))->unbalance());
    }

    /** @return iterable<string, array{string, float, float, list<int>}> */
    public static function plates(): iterable
    {
        yield 'one' => ['460', 414.0, 506.0, []];
        yield 'two' => ['208-230', 187.2, 253.0, []];
        yield 'slash' => ['208/230', 187.2, 253.0, []];
        yield 'with phases and hertz' => ['208-230/3/60', 187.2, 253.0, [60]];
        yield 'both hertz' => ['400/3/50/60', 360.0, 440.0, [50, 60]];
    }

    /** @param list<int> $hertz */
    #[DataProvider('plates')]
    public function testAPlateIsReadAsItIsWritten(string $written, float $min, float $max, array $hertz): void
    {
        $plate = PlateVoltage::parse($written);
        self::assertEqualsWithDelta([$min, $max], [$plate->min(), $plate->max()], 1e-9);
        self::assertSame($hertz, $plate->hertz);
    }

    public function testTwoConnectionsAreNoRange(): void
    {
        foreach (['208-230/460', '230/400', '277/480', '', 'abc', '3/60', '46', '4600', '460V', '460,'] as $written) {
            try {
                PlateVoltage::parse($written);
                self::fail("$written was taken");
            } catch (\InvalidArgumentException $error) {
                self::assertNotSame('', $error->getMessage());
            }
        }
    }

    public function testMoreUnbalanceIsNeverMilder(): void
    {
        $weight = ['clear' => 0, 'watch' => 1, 'stop' => 3];
        $last = 0;
        for ($low = 480.0; $low >= 430.0; $low -= 0.5) {
            $status = $this->judge('power.voltage', ['volts_ab' => '480 V', 'volts_bc' => '480 V', 'volts_ca' => "$low V", 'plate_voltage' => '460'])['status'];
            self::assertGreaterThanOrEqual($last, $weight[$status], "$low V");
            $last = $weight[$status];
        }
        self::assertSame(3, $last);
    }

    public function testALegRollFindsWhatWasPutIn(): void
    {
        $this->limitTo(60)->forAll(Generator\choose(50, 90), Generator\elements('supply', 'motor'))->then(function (int $tenths, string $cause): void {
            $more = 20 * (1 + $tenths / 1000);
            // Before, line 1 feeds terminal 1; after, line 1 feeds terminal 2.
            $after = $cause === 'supply' ? [20, $more, 20] : [$more, 20, 20];
            $input = [];
            foreach ([1, 2, 3] as $i) {
                $input["before_t$i"] = ($i === 1 ? $more : 20) . ' A';
                $input["after_t$i"] = $after[$i - 1] . ' A';
            }
            self::assertContains($cause, $this->judge('power.leg_roll', $input)['codes']);
        });
    }

    public function testTheSplitChosenIsNeverWorseThanAnyOther(): void
    {
        $this->limitTo(15)->forAll(Generator\vector(4, Generator\choose(5, 40)))->then(function (array $amps): void {
            $loads = fn (array $pairs): array => array_map(fn (int $a, int $i): array => ['name' => "u$i", 'amps' => "$a A", 'across' => $pairs[$i]], $amps, array_keys($amps));
            $best = $this->judge('power.single_phase_split', ['loads' => $loads(array_fill(0, 4, 'auto'))])['values']['largest_leg']['value'];
            foreach ([['ab', 'bc', 'ca', 'ab'], ['ab', 'ab', 'bc', 'ca'], ['bc', 'ca', 'ab', 'bc'], ['ca', 'ca', 'bc', 'ab']] as $pairs) {
                self::assertLessThanOrEqual($this->judge('power.single_phase_split', ['loads' => $loads($pairs)])['values']['largest_leg']['value'] + 1e-9, $best);
            }
        });
    }

    public function testManyLoadsAreStillSplit(): void
    {
        $loads = array_map(fn (int $i): array => ['name' => "u$i", 'amps' => (10 + $i) . ' A'], range(1, 12));
        $verdict = $this->judge('power.single_phase_split', ['loads' => $loads, 'feeder_ampacity' => '200 A']);
        self::assertSame('clear', $verdict['status']);
        self::assertLessThan(10.0, $verdict['values']['unbalance']['value']);
    }

    public function testAHotterRoofNeverGivesALargerAmpacity(): void
    {
        $last = INF;
        foreach ([-20, 0, 10, 25, 30, 45, 60, 80] as $celsius) {
            $usable = $this->judge('power.circuit', ['mca' => '30 A', 'mocp' => '50 A', 'breaker' => '40 A', 'conductor' => '8', 'insulation' => 90, 'terminal_rating' => 75, 'ambient' => "$celsius degC"])['values']['usable_ampacity']['value'];
            self::assertLessThanOrEqual($last, $usable);
            $last = $usable;
        }
    }

    public function testTheSmallestConductorCarriesAndTheNextSmallerDoesNot(): void
    {
        $input = ['mca' => '61 A', 'mocp' => '80 A', 'breaker' => '70 A', 'insulation' => 75, 'terminal_rating' => 75, 'ambient' => '40 degC'];
        $smallest = $this->judge('power.circuit', ['conductor' => '1'] + $input)['values']['smallest_conductor']['value'];
        $sizes = \IronStart\Core\Power\Ampacity::sizes('cu');
        $next = $sizes[array_search($smallest, $sizes, true) - 1];
        self::assertNotContains('conductor_small', $this->judge('power.circuit', ['conductor' => $smallest] + $input)['codes']);
        self::assertContains('conductor_small', $this->judge('power.circuit', ['conductor' => $next] + $input)['codes']);
    }

    public function testThePlateOfTheExampleAddsUp(): void
    {
        $motors = [['name' => 'C1', 'amps' => '9.7 A', 'quantity' => 2], ['name' => 'Blower', 'amps' => '7.6 A'], ['name' => 'Fan', 'amps' => '1.3 A', 'quantity' => 2]];
        $verdict = $this->judge('power.plate_math', ['motors' => $motors, 'plate_mca' => '32.8 A', 'plate_mocp' => '40 A']);
        // 1.25·9.7 + 9.7 + 7.6 + 2·1.3 = 32.025; 2.25·9.7 + 9.7 + 7.6 + 2.6 = 41.7, down to 40.
        self::assertEqualsWithDelta(32.025, $verdict['values']['mca']['value'], 1e-9);
        self::assertSame(40, $verdict['values']['mocp']['value']);
        self::assertSame('clear', $verdict['status']);
    }

    public function testEveryDeadReadingMattersForALockout(): void
    {
        $six = array_fill_keys(['volts_ab', 'volts_bc', 'volts_ca', 'volts_ag', 'volts_bg', 'volts_cg'], '1 V');
        $base = ['lock_id' => '1', 'tag_name' => 'x', 'tester_proved_before' => true, 'tester_proved_after' => true] + $six;
        self::assertSame('clear', $this->judge('power.lockout', $base)['status'], '1 V is dead');
        foreach (array_keys($six) as $name) {
            self::assertSame(['maybe_induced'], $this->judge('power.lockout', [$name => '1.1 V'] + $base)['codes'], $name);
            self::assertSame(['still_live'], $this->judge('power.lockout', [$name => '1.1 V', 'low_impedance' => true] + $base)['codes'], $name);
            self::assertSame(["missing:$name"], $this->judge('power.lockout', array_diff_key($base, [$name => 1]))['codes'], $name);
        }
        foreach (['tester_proved_before', 'tester_proved_after'] as $proof) {
            self::assertSame(["missing:$proof"], $this->judge('power.lockout', [$proof => false] + $base)['codes']);
        }
    }

    /**
     * @param array<string, mixed> $input
     * @return array<string, mixed>
     */
    private function judge(string $check, array $input): array
    {
        return json_decode((string) json_encode(Core::judge()->judge($check, $input, 'us')->toArray()), true);
    }
}
