<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Survey;

use IronStart\Core\Survey\Crane;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The geometry of a survey, worked by hand or held against what a drawing shows of it. */
final class ByHandTest extends TestCase
{
    use Judges;

    /** Radius 40 ft, tip at 20 + 3 + 5 + 5 + 5 = 38 ft, 31 ft over the pivot: a boom of 50.6 ft at 37.8°. */
    private const LIFT = ['roof_height' => '20 ft', 'unit_height' => '5 ft', 'sling_height' => '5 ft', 'edge_distance' => '20 ft', 'setback' => '20 ft', 'gross_load' => '1000 lb'];
    private const RIG = ['unit_weight' => '1000 lb', 'weight_source' => 'tag', 'lift_points' => ['length' => '8 ft', 'width' => '6 ft'], 'cg' => ['x' => '4 ft', 'y' => '3 ft'], 'sling_rating' => '3000 lb', 'sling_angle' => '60 deg'];
    private const PIECE = ['length' => '40 in', 'width' => '30 in', 'height' => '60 in', 'weight' => '40 lb'];

    public function testTheBoomIsTheHypotenuse(): void
    {
        self::assertEqualsWithDelta(40.0, self::figure('survey.crane', self::LIFT + self::chart([60, 45, 2000]), 'radius'), 1e-9);
        self::assertEqualsWithDelta(38.0, self::figure('survey.crane', self::LIFT + self::chart([60, 45, 2000]), 'tip_height'), 1e-9);
        self::assertEqualsWithDelta(sqrt(40 ** 2 + 31 ** 2), self::figure('survey.crane', self::LIFT + self::chart([60, 45, 2000]), 'boom_needed'), 1e-9);
        self::assertEqualsWithDelta(rad2deg(atan2(31, 40)), self::figure('survey.crane', self::LIFT + self::chart([60, 45, 2000]), 'boom_angle'), 1e-9);
    }

    public function testAParapetOrACurbWhicheverIsHigherRaisesTheTip(): void
    {
        $tip = fn (array $with): ?float => self::figure('survey.crane', $with + self::LIFT + self::chart([80, 45, 2000]), 'tip_height');
        self::assertEqualsWithDelta(42.0, $tip(['parapet_height' => '4 ft']), 1e-9);
        self::assertEqualsWithDelta(38.0, $tip(['set_height' => '3 ft']), 1e-9, 'three feet over the roof are kept anyway');
        self::assertEqualsWithDelta(39.0, $tip(['set_height' => '3 ft', 'adapter_height' => '1 ft']), 1e-9);
    }

    public function testTheChartIsReadAtTheRadiusOrBeyondAndAtTheShortestBoomThatDoes(): void
    {
        $chart = self::chart([60, 35, 9000], [60, 50, 4000], [60, 42, 5000], [70, 45, 3000], [55, 30, 8000]);
        $lift = ['roof_height' => '5 ft'] + self::LIFT;
        self::assertEqualsWithDelta(5000.0, self::figure('survey.crane', $lift + $chart, 'capacity'), 1e-6, 'not the 35 ft row, and not the 50 ft one');
        self::assertEqualsWithDelta(60.0, self::figure('survey.crane', $lift + $chart, 'boom_used'), 1e-6);
        self::assertEqualsWithDelta(20.0, self::figure('survey.crane', $lift + $chart, 'capacity_use'), 1e-6);
        self::assertEqualsWithDelta(30.0, self::figure('survey.crane', ['deductions' => '500 lb'] + $lift + $chart, 'capacity_use'), 1e-6);
        self::assertEqualsWithDelta(acos(40 / 60) * 180 / M_PI, self::figure('survey.crane', $lift + $chart, 'used_angle'), 1e-6);
    }

    /** Under side of the boom at the wall, at its angle: 7 − 2/cos + 20·tan − 20. */
    public function testTheBoomsClearanceAtTheWall(): void
    {
        $angle = atan2(31, 40);
        $feet = 7 - 2 / cos($angle) + 20 * tan($angle) - 20;
        self::assertEqualsWithDelta($feet, self::figure('survey.crane', self::LIFT, 'wall_clearance'), 1e-9);
        self::assertEqualsWithDelta($feet - 1, self::figure('survey.crane', ['parapet_height' => '1 ft', 'clear_over' => '2 ft'] + self::LIFT, 'wall_clearance'), 1e-9);
    }

    public function testABoomThatTouchesIsToldOtherwiseThanOneThatIsInTheWall(): void
    {
        $stop = function (string $height, array $with = []): string {
            $found = array_filter(self::judge('survey.crane', $with + ['roof_height' => $height] + self::LIFT + self::chart([300, 60, 2000]))->findings, fn ($f): bool => str_starts_with($f->code, 'boom_hits'));

            return $found === [] ? '' : end($found)->phrase;
        };
        self::assertSame('', $stop('20 ft'), 'a long boom stands steep and clears');
        $short = self::judge('survey.crane', ['edge_distance' => '1 ft', 'setback' => '80 ft', 'roof_height' => '30 ft'] + self::LIFT + self::chart([95, 90, 2000]))->findings;
        self::assertContains('boom_in_wall', array_column(array_map(fn ($f): array => ['phrase' => $f->phrase], $short), 'phrase'));
    }

    public function testABoomThatTouchesEitherIsMarkedOnTheDrawing(): void
    {
        $is = fn (array $with, int $boom = 60): string => array_column(self::judge('survey.crane', $with + self::LIFT + self::chart([$boom, 95, 2000]))->drawing['bodies'], 'is', 'id')['boom'];
        self::assertSame('plain', $is(['roof_height' => '5 ft']));
        self::assertSame('stop', $is(['edge_distance' => '1 ft', 'setback' => '80 ft', 'roof_height' => '30 ft'], 95), 'the wall');
        self::assertSame('stop', $is(['roof_height' => '5 ft', 'unit_length' => '70 ft']), 'the load');
    }

    public function testWithoutTheUnitsLengthNothingIsSaidOfTheLoad(): void
    {
        self::assertNull(self::figure('survey.crane', self::LIFT, 'load_clearance'));
        self::assertNotNull(self::figure('survey.crane', ['unit_length' => '8 ft'] + self::LIFT, 'load_clearance'));
        $per = fn (string $length): ?float => self::figure('survey.crane', ['unit_length' => $length] + self::LIFT, 'load_clearance');
        self::assertEqualsWithDelta(1.0 * 31 / 40, $per('6 ft') - $per('8 ft'), 1e-9, 'a foot nearer to the boom costs its slope');
    }

    /** @return iterable<string, array{array<string, mixed>, float}> ft to keep away */
    public static function powerLines(): iterable
    {
        foreach ([[1, 10], [50, 10], [50.1, 15], [200, 15], [201, 20], [350, 20], [351, 25], [500, 25], [501, 35], [750, 35], [751, 45], [1000, 45]] as [$kv, $feet]) {
            yield "$kv kV" => [['kv' => $kv], (float) $feet];
        }
        yield 'nobody knows' => [[], 20.0];
    }

    /** @param array<string, mixed> $line */
    #[DataProvider('powerLines')]
    public function testEveryVoltageKeepsItsDistance(array $line, float $feet): void
    {
        $lift = fn (float $away): array => ['power_line' => ['distance' => "$away ft"] + $line] + self::LIFT + self::chart([60, 45, 2000]);
        self::assertEqualsWithDelta($feet, self::figure('survey.crane', $lift(100), 'approach_distance'), 1e-6);
        self::assertNotContains('power_line', self::judge('survey.crane', $lift(40 + $feet))->codes(), 'as far as the boom reaches and the distance besides');
        self::assertContains('power_line', self::judge('survey.crane', $lift(40 + $feet - 0.1))->codes());
        self::assertContains('power_line', self::judge('survey.crane', ['unit_length' => '8 ft'] + $lift(40 + $feet + 3.9))->codes(), 'half the unit swings out further');
    }

    public function testTheFootOfTheBoomStandsOutside(): void
    {
        self::assertSame('boom_foot_offset', self::refused('survey.crane', ['boom_foot_offset' => '-20 ft'] + self::LIFT)[0]);
        self::assertSame('', self::refused('survey.crane', ['boom_foot_offset' => '-19.9 ft'] + self::LIFT)[0]);
    }

    public function testTheGrossLoadComesFromTheRigging(): void
    {
        $gross = ['value' => 1234.0, 'unit' => 'lb'];
        $past = new \IronStart\Core\Check\Past([['check' => 'survey.rigging', 'subject' => 'machine', 'status' => 'clear', 'codes' => [], 'input' => [], 'values' => ['gross' => $gross], 'at' => 1]]);
        self::assertSame(['gross_load' => $gross], Crane::bringsIn($past, 'machine'));
        self::assertSame([], Crane::bringsIn(new \IronStart\Core\Check\Past(), 'machine'));
    }

    /** 1,000 lb in the middle: 250 lb a corner, but three slings carry it: 333.3 lb / sin 60° = 384.9 lb. */
    public function testALegOfFourCarriesAThird(): void
    {
        self::assertEqualsWithDelta(250.0, self::figure('survey.rigging', self::RIG, 'corner_1'), 1e-6);
        self::assertEqualsWithDelta(1000 / 3 / sin(deg2rad(60)), self::figure('survey.rigging', self::RIG, 'leg_tension'), 1e-6);
        self::assertEqualsWithDelta(100 * 1000 / 3 / sin(deg2rad(60)) / 3000, self::figure('survey.rigging', self::RIG, 'sling_use'), 1e-6);
    }

    public function testTheCornersCarryTheWholeAndTheNearestCarriesTheMost(): void
    {
        $values = self::judge('survey.rigging', ['cg' => ['x' => '2 ft', 'y' => '2 ft']] + self::RIG)->values;
        $corners = array_map(fn (int $i): float => (float) $values["corner_$i"]->value, [1, 2, 3, 4]);
        self::assertEqualsWithDelta(1000.0, array_sum($corners), 1e-6);
        self::assertEqualsWithDelta([500.0, 1000 / 6, 250.0, 1000 / 12], $corners, 1e-6);
        self::assertEqualsWithDelta(500 / sin(deg2rad(60)), (float) $values['leg_tension']->value, 1e-6, 'more than a third lies on it');
    }

    /** @return iterable<string, array{string, float}> where the weight is from, and what it is counted with */
    public static function sources(): iterable
    {
        yield 'the tag' => ['tag', 1.0];
        yield 'the book' => ['book', 1.05];
        yield 'an estimate' => ['estimate', 1.15];
    }

    #[DataProvider('sources')]
    public function testAWeightNobodyWeighedIsCountedHigher(string $source, float $factor): void
    {
        $gross = self::figure('survey.rigging', ['weight_source' => $source, 'accessories' => '100 lb', 'rigging_weight' => '50 lb'] + self::RIG, 'gross');
        self::assertEqualsWithDelta(1100 * $factor + 50, $gross, 1e-6);
    }

    /** A 6 × 8 ft rectangle has a half diagonal of 5 ft: a sling of 10 ft stands at 60°. */
    public function testTheSlingsLengthGivesItsAngle(): void
    {
        $rig = ['sling_length' => '10 ft'] + array_diff_key(self::RIG, ['sling_angle' => 1]);
        self::assertEqualsWithDelta(60.0, self::figure('survey.rigging', $rig, 'sling_angle'), 1e-6);
        self::assertEqualsWithDelta(55.0, self::figure('survey.rigging', ['sling_angle' => '55 deg'] + $rig, 'sling_angle'), 1e-6, 'the flatter one counts');
        self::assertContains('angle_differs', self::judge('survey.rigging', ['sling_angle' => '50 deg'] + $rig)->codes());
        self::assertSame('sling_length', self::refused('survey.rigging', ['sling_length' => '5 ft'] + $rig)[0]);
    }

    public function testASpreaderTakesTheAngleAndBringsItsWeight(): void
    {
        $rig = ['spreader' => true] + array_diff_key(self::RIG, ['sling_angle' => 1]);
        self::assertContains('spreader_weight', self::judge('survey.rigging', $rig)->codes());
        self::assertSame([], self::judge('survey.rigging', ['rigging_weight' => '80 lb'] + $rig)->codes());
        self::assertNull(self::figure('survey.rigging', $rig, 'sling_angle'));
        self::assertContains('needs_spreader', self::judge('survey.rigging', ['lift_from' => 'base'] + self::RIG)->codes());
    }

    /** @return iterable<string, array{array<string, mixed>, float}> step, inches of slack by hand (an inch kept on either side) */
    public static function steps(): iterable
    {
        yield 'a door by its width' => [['kind' => 'door', 'width' => '36 in', 'height' => '80 in'], 36 - 2 - 30];
        yield 'a door by its height' => [['kind' => 'door', 'width' => '60 in', 'height' => '64 in'], 64 - 2 - 60];
        yield 'a hatch lengthwise' => [['kind' => 'hatch', 'length' => '48 in', 'width' => '34 in'], 34 - 2 - 30];
        yield 'a hatch turned' => [['kind' => 'hatch', 'length' => '34 in', 'width' => '48 in'], 34 - 2 - 30];
        yield 'a straight stair' => [['kind' => 'stair', 'width' => '36 in', 'headroom' => '84 in'], 36 - 2 - 30];
        yield 'an elevator by its door' => [['kind' => 'lift_car', 'door_width' => '36 in', 'door_height' => '84 in', 'depth' => '60 in', 'width' => '60 in', 'height' => '90 in', 'capacity' => '2500 lb'], 36 - 2 - 30];
        yield 'an elevator by its floor' => [['kind' => 'lift_car', 'door_width' => '60 in', 'door_height' => '84 in', 'depth' => '44 in', 'width' => '60 in', 'height' => '90 in', 'capacity' => '2500 lb'], 44 - 2 - 30];
    }

    /** @param array<string, mixed> $step */
    #[DataProvider('steps')]
    public function testTheSlackOfAStep(array $step, float $slack): void
    {
        self::assertEqualsWithDelta($slack, self::figure('survey.route', ['item' => self::PIECE, 'steps' => [$step]], 'steps.0.slack'), 1e-6);
    }

    /** Without width a pole goes round where the two corridors' hypotenuse lets it: (a^⅔ + b^⅔)^1.5. */
    public function testAPoleGoesRoundACornerAsInTheBooks(): void
    {
        $longest = fn (float $a, float $b): float => ($a ** (2 / 3) + $b ** (2 / 3)) ** 1.5;
        foreach ([[40.0, 60.0], [50.0, 50.0], [36.0, 72.0]] as [$a, $b]) {
            $slack = self::figure('survey.route', ['clearance' => '0 in', 'item' => ['length' => '90 in', 'width' => '0 in', 'height' => '10 in', 'weight' => '20 lb'], 'steps' => [['kind' => 'corridor_turn', 'width_in' => "$a in", 'width_out' => "$b in", 'height' => '90 in']]], 'steps.0.slack');
            self::assertEqualsWithDelta($longest($a, $b) - 90, min($slack, $longest($a, $b) - 90), 1e-6);
            self::assertEqualsWithDelta(min(80.0, $longest($a, $b) - 90), $slack, 1e-6);
        }
    }

    public function testAWiderCornerIsNeverTighter(): void
    {
        $slack = fn (float $w): float => self::figure('survey.route', ['item' => self::PIECE, 'steps' => [['kind' => 'corridor_turn', 'width_in' => "$w in", 'width_out' => '44 in', 'height' => '90 in']]], 'steps.0.slack');
        $before = -INF;
        for ($w = 28.0; $w <= 72; $w += 2) {
            self::assertGreaterThanOrEqual($before - 1e-9, $before = $slack($w));
        }
    }

    public function testWhatMayBeTippedGoesWhereItWouldNotStand(): void
    {
        $low = ['item' => self::PIECE, 'steps' => [['kind' => 'door', 'width' => '44 in', 'height' => '46 in']]];
        self::assertSame('stop', self::judge('survey.route', $low)->status->value);
        self::assertSame('clear', self::judge('survey.route', ['item' => ['keep_upright' => false] + self::PIECE] + $low)->status->value);
        self::assertSame('stop', self::judge('survey.route', ['item' => ['keep_upright' => false, 'max_tilt' => '45 deg'] + self::PIECE] + $low)->status->value);
    }

    public function testAQuarterInchEitherWayIsTheTapesReading(): void
    {
        $isMarginal = fn (string $width): bool => self::judge('survey.route', ['item' => self::PIECE, 'steps' => [['kind' => 'door', 'width' => $width, 'height' => '80 in']]])->marginal;
        self::assertTrue($isMarginal('32.24 in'));
        self::assertFalse($isMarginal('32.26 in'));
        self::assertTrue($isMarginal('31.76 in'));
        self::assertFalse($isMarginal('31.74 in'));
    }

    /** 2,500 lb less 40 lb, less two people of 176.4 lb, less the dolly. */
    public function testAnElevatorCarriesThePeopleAndTheDollyToo(): void
    {
        $car = ['kind' => 'lift_car', 'door_width' => '36 in', 'door_height' => '84 in', 'depth' => '60 in', 'width' => '60 in', 'height' => '90 in', 'capacity' => '2500 lb'];
        $left = fn (array $with): ?float => self::figure('survey.route', $with + ['item' => self::PIECE, 'steps' => [$car]], 'steps.0.weight_slack');
        self::assertEqualsWithDelta(2500 - 40 - 2 * 80 / 0.45359237, $left([]), 1e-4);
        self::assertEqualsWithDelta(2500 - 40 - 3 * 80 / 0.45359237 - 60, $left(['people' => 3, 'trolley_weight' => '60 lb']), 1e-4);
        self::assertContains('lift_overload:0', self::judge('survey.route', ['item' => ['weight' => '2200 lb'] + self::PIECE, 'steps' => [$car]])->codes());
    }

    /** The opening is drawn as it was measured, the piece no larger than it, and what decides is marked. */
    public function testTheTightestStepIsTheOneThatIsDrawn(): void
    {
        $drawing = self::judge('survey.route', ['item' => self::PIECE, 'steps' => [['kind' => 'door', 'width' => '60 in', 'height' => '84 in'], ['kind' => 'door', 'width' => '31 in', 'height' => '84 in']]])->drawing;
        $dims = array_column($drawing['dims'], null, 'field');
        self::assertSame('stop', $dims['steps.1.width']['is']);
        self::assertEqualsWithDelta(31 * 0.0254, $dims['steps.1.width']['to'][0] - $dims['steps.1.width']['from'][0], 1e-9);
        $piece = array_column($drawing['bodies'], null, 'id')['item']['points'];
        self::assertEqualsWithDelta(30 * 0.0254, $piece[1][0] - $piece[0][0], 1e-9);
        self::assertSame('stop', array_column($drawing['bodies'], null, 'id')['item']['is']);
    }

    /** The piece at its corner's tightest angle keeps its size, and touches neither inner wall where it goes. */
    public function testTheCornersPieceIsDrawnWithItsOwnSize(): void
    {
        $drawing = self::judge('survey.route', ['item' => self::PIECE, 'steps' => [['kind' => 'corridor_turn', 'width_in' => '44 in', 'width_out' => '44 in', 'height' => '90 in']]])->drawing;
        $p = array_column($drawing['bodies'], null, 'id')['item']['points'];
        $far = fn (array $a, array $b): float => hypot($a[0] - $b[0], $a[1] - $b[1]);
        $sides = [$far($p[0], $p[1]), $far($p[1], $p[2]), $far($p[2], $p[3]), $far($p[3], $p[0])];
        self::assertEqualsWithDelta($sides[0], $sides[2], 1e-9);
        self::assertEqualsWithDelta($sides[1], $sides[3], 1e-9);
        sort($sides);
        self::assertEqualsWithDelta([30 * 0.0254, 40 * 0.0254], [$sides[0], $sides[3]], 1e-9);
    }

    /** One unit of 20 tons on 100 A against two of 10 and four of 5: sums that can be done on the tailgate. */
    public function testOptionsAreComparedColumnByColumn(): void
    {
        $machine = fn (float $tons, int $phases, float $mca): array => ['tons' => "$tons ton", 'phases' => $phases, 'mca' => "$mca A", 'weight' => (100 * $tons) . ' lb'];
        $options = ['required_tons' => '20 ton', 'hourly_rate' => 100, 'existing' => ['feeder_ampacity' => '100 A', 'phases' => 3, 'circuits' => 1, 'weight' => '2000 lb'], 'options' => [
            ['name' => 'A', 'machines' => [$machine(20, 3, 80)], 'equipment_cost' => 20000, 'labour_hours' => 16, 'lead_days' => 30],
            ['name' => 'B', 'machines' => [$machine(10, 3, 45), $machine(10, 3, 45)], 'equipment_cost' => 22000, 'labour_hours' => 17, 'lead_days' => 5, 'extra_work' => [['what' => 'curb', 'cost' => 1500]]],
            ['name' => 'C', 'machines' => array_fill(0, 4, $machine(5, 1, 30)), 'equipment_cost' => 18000, 'labour_hours' => 40],
        ]];
        $values = array_map(fn ($v): mixed => $v->value, self::judge('survey.options', $options)->values);
        self::assertEqualsWithDelta([100, 100, 100], [$values['options.0.capacity'], $values['options.1.capacity'], $values['options.2.capacity']], 1e-6);
        self::assertEqualsWithDelta([0, 50, 75], [$values['options.0.capacity_largest_out'], $values['options.1.capacity_largest_out'], $values['options.2.capacity_largest_out']], 1e-6);
        self::assertEqualsWithDelta([80, 90], [$values['options.0.feeder_need'], $values['options.1.feeder_need']], 1e-6);
        self::assertEqualsWithDelta(sqrt(60 ** 2 + 30 ** 2 + 60 * 30), $values['options.2.feeder_need'], 1e-6, 'one leg carries two pairs of 60 A and 30 A, 120° apart');
        self::assertEqualsWithDelta([0, 1, 3], [$values['options.0.new_circuits'], $values['options.1.new_circuits'], $values['options.2.new_circuits']], 1e-6);
        self::assertEqualsWithDelta([21600, 25200, 22000], [$values['options.0.cost'], $values['options.1.cost'], $values['options.2.cost']], 1e-6);
        self::assertEqualsWithDelta([32, 8, 5], [$values['options.0.days'], $values['options.1.days'], $values['options.2.days']], 1e-6, 'a broken day counts whole');
        self::assertSame([['A'], ['C'], ['A'], ['C'], ['C']], [$values['best.cost'], $values['best.days'], $values['best.new_circuits'], $values['best.feeder_need'], $values['best.capacity_largest_out']]);
        self::assertSame(['A', 'B', 'C'], $values['best.capacity'], 'ties all');
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function weights(): iterable
    {
        yield 'lighter' => [['old_weight' => '1100 lb'], 'clear', ''];
        yield 'heavier, by its adapter' => [['old_weight' => '1010 lb', 'adapter' => '40 lb'], 'watch', 'heavier_watch'];
        yield 'too heavy, by its economizer' => [['old_weight' => '1000 lb', 'accessories' => '51 lb'], 'stop', 'heavier'];
        yield 'elsewhere' => [['old_weight' => '2000 lb', 'same_place' => false], 'stop', 'new_place'];
        yield 'nobody knows what stood there' => [[], 'stop', 'old_weight_unknown'];
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('weights')]
    public function testTheRoofIsAskedWhatItCarriedBefore(array $with, string $status, string $code): void
    {
        self::assertSame([$status, $code === '' ? [] : [$code]], self::found('survey.structure', $with + ['new_weight' => '1000 lb']));
        $approved = self::judge('survey.structure', ['engineer_approved' => true] + $with + ['new_weight' => '1000 lb']);
        self::assertSame($status === 'stop' ? 'clear' : $status, $approved->status->value, 'an engineer may say yes to a stop');
    }

    /**
     * @param array{int, int, int} ...$rows boom and radius in feet, capacity in pounds
     * @return array<string, mixed>
     */
    private static function chart(array ...$rows): array
    {
        return ['chart' => array_map(fn (array $r): array => ['boom' => "$r[0] ft", 'radius' => "$r[1] ft", 'capacity' => "$r[2] lb"], array_values($rows))];
    }
}
