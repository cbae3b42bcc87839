<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Survey;

use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Past;
use IronStart\Core\Survey\Structure;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is drawn while measures are missing, what is left to arrange, what another check brings. */
final class SurveyTest extends TestCase
{
    use Judges;

    private const RIG = ['unit_weight' => '1000 lb', 'weight_source' => 'tag', 'lift_points' => ['length' => '80 in', 'width' => '40 in'], 'sling_rating' => '3000 lb', 'sling_angle' => '60 deg'];

    public function testNothingIsDrawnOfWhatIsHalfMeasured(): void
    {
        $bodies = fn (array $input): array => array_column(self::judge('survey.curb_fit', ['discharge' => 'side'] + $input)->drawing['bodies'] ?? [], 'id');
        $curb = ['length' => '80 in', 'width' => '40 in'];
        self::assertSame(['curb', 'base'], $bodies(['curb_outside' => $curb, 'unit_base' => $curb]));
        self::assertSame(['curb'], $bodies(['curb_outside' => $curb, 'unit_base' => ['length' => '80 in']]));
        self::assertSame(['base'], $bodies(['curb_outside' => ['width' => '40 in'], 'unit_base' => $curb]));
        $door = [['kind' => 'door', 'width' => '40 in', 'height' => '80 in']];
        $piece = ['length' => '30 in', 'width' => '30 in', 'height' => '60 in', 'weight' => '90 lb'];
        self::assertNotSame([], self::judge('survey.route', ['item' => $piece, 'steps' => $door])->drawing);
        self::assertSame([], self::judge('survey.route', ['item' => array_diff_key($piece, ['height' => 1]), 'steps' => $door])->drawing);
        self::assertSame([], self::judge('survey.route', ['item' => $piece])->drawing);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function centers(): iterable
    {
        yield 'inside' => ['40 in', '20 in', 'plain'];
        yield 'on the edge' => ['80 in', '40 in', 'plain'];
        yield 'left of it' => ['-1 in', '20 in', 'stop'];
        yield 'right of it' => ['81 in', '20 in', 'stop'];
        yield 'before it' => ['40 in', '-1 in', 'stop'];
        yield 'behind it' => ['40 in', '41 in', 'stop'];
    }

    #[DataProvider('centers')]
    public function testACenterOfGravityOutsideTheLiftPointsIsMarked(string $x, string $y, string $is): void
    {
        $drawn = array_column(self::judge('survey.rigging', ['cg' => ['x' => $x, 'y' => $y]] + self::RIG)->drawing['bodies'], 'is', 'id');
        self::assertSame($is, $drawn['cg']);
    }

    public function testASlingThatReachesNoLiftPointIsToldOnceBothSidesAreMeasured(): void
    {
        $sling = ['sling_length' => '30 in', 'cg' => ['x' => '40 in', 'y' => '20 in']];
        self::assertSame('open', self::judge('survey.rigging', ['lift_points' => ['length' => '80 in']] + $sling + self::RIG)->status->value);
        $this->expectException(InputError::class);
        self::judge('survey.rigging', $sling + self::RIG);
    }

    public function testAnOpeningMayStandOutByTheTapesReadingAndNoMore(): void
    {
        $frame = ['length' => '2 m', 'width' => '1 m'];
        $at = fn (string $x): array => ['x' => $x, 'y' => '0.1 m', 'length' => '1 m', 'width' => '0.5 m'];
        $curb = fn (string $x): array => ['curb_outside' => $frame, 'unit_base' => $frame, 'curb_openings' => ['supply' => $at($x), 'return' => $at('0 m')], 'unit_openings' => ['supply' => $at('0 m'), 'return' => $at('0 m')]];
        self::assertNotSame('', self::judge('survey.curb_fit', $curb('1.00099 m'))->status->value);
        $this->expectException(InputError::class);
        self::judge('survey.curb_fit', $curb('1.0011 m'));
    }

    public function testARouteThatGoesLeavesWhatItsStepsHaveToBeAskedFor(): void
    {
        $piece = ['length' => '30 in', 'width' => '30 in', 'height' => '60 in', 'weight' => '40 lb'];
        $steps = [['kind' => 'hatch', 'name' => 'north hatch', 'length' => '60 in', 'width' => '48 in'], ['kind' => 'door', 'width' => '40 in', 'height' => '80 in'],
            ['kind' => 'lift_car', 'door_width' => '42 in', 'door_height' => '84 in', 'depth' => '60 in', 'width' => '60 in', 'height' => '90 in', 'capacity' => '2500 lb']];
        $left = fn (array $steps): array => array_map(fn ($one): array => [$one->leaves, $one->where], self::judge('survey.route', ['item' => $piece, 'steps' => $steps])->sets);
        self::assertSame([['hatch', 'north hatch'], ['elevator', '']], $left($steps));
        self::assertSame([], $left([['width' => '20 in'] + $steps[0]]), 'a way that is not taken');
    }

    public function testAnAdaptersWeightGoesToTheRoofOnceItIsKnown(): void
    {
        $brings = fn (mixed $adapter): array => Structure::bringsIn(new Past([['check' => 'survey.curb_fit', 'subject' => 'machine', 'status' => 'clear', 'codes' => [], 'input' => ['adapter' => $adapter], 'values' => [], 'at' => 1]]), 'machine');
        self::assertSame(['adapter' => '140 lb'], $brings(['weight' => '140 lb', 'height' => '14 in']));
        self::assertSame([], $brings(['height' => '14 in']));
        self::assertSame([], $brings(null));
    }
}
