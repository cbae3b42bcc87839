<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Numeric;

use IronStart\Core\Numeric\LeastSquares;
use IronStart\Core\Numeric\MonotoneCubic;
use IronStart\Core\Numeric\NoBracket;
use IronStart\Core\Numeric\Root;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Roots, least squares and curves against what can be worked out by hand. */
final class NumericTest extends TestCase
{
    public function testALineThroughALineIsThatLineWhateverTheWeights(): void
    {
        $x = [0.0, 1.0, 4.0, 9.0];
        $y = array_map(fn (float $one): float => 3 - 2 * $one, $x);
        foreach ([null, [1.0, 5.0, 0.2, 7.0]] as $weights) {
            $fit = LeastSquares::line($x, $y, $weights);
            self::assertEqualsWithDelta([3.0, -2.0, 0.0], [$fit['intercept'], $fit['slope'], $fit['residual']], 1e-12);
        }
    }

    public function testAHeavierPointPullsTheLine(): void
    {
        // By hand: means 1.25 and 2.75, Sxx 2.75, Sxy 7.25.
        $fit = LeastSquares::line([0.0, 1.0, 2.0], [0.0, 1.0, 5.0], [1.0, 1.0, 2.0]);
        self::assertEqualsWithDelta([29 / 11, 2.75 - 1.25 * 29 / 11], [$fit['slope'], $fit['intercept']], 1e-12);
        self::assertEqualsWithDelta((6 / 11) ** 2 + (12 / 11) ** 2 + 2 * (3 / 11) ** 2, $fit['residual'], 1e-12);
        self::assertEqualsWithDelta(['level' => 2.75, 'residual' => 2.75 ** 2 + 1.75 ** 2 + 2 * 2.25 ** 2], LeastSquares::level([0.0, 1.0, 5.0], [1.0, 1.0, 2.0]), 1e-12);
    }

    public function testAllAtOnePlaceIsALevel(): void
    {
        self::assertEqualsWithDelta(['intercept' => 4.0, 'slope' => 0.0, 'residual' => 2.0], LeastSquares::line([7.0, 7.0], [3.0, 5.0]), 1e-12);
    }

    public function testNothingIsNoLine(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        LeastSquares::line([], []);
    }

    /** @return iterable<string, array{\Closure(float): float, float, float, float}> */
    public static function roots(): iterable
    {
        yield 'rising' => [fn (float $x): float => $x * $x - 2, 0.0, 2.0, M_SQRT2];
        yield 'falling' => [fn (float $x): float => 5 - $x ** 3, 0.0, 9.0, 5 ** (1 / 3)];
        yield 'at the lower end' => [fn (float $x): float => $x, 0.0, 3.0, 0.0];
        yield 'at the upper end' => [fn (float $x): float => $x - 3, 0.0, 3.0, 3.0];
        yield 'with a step in it' => [fn (float $x): float => $x < 1 / 3 ? -1.0 : 1.0, 0.0, 1.0, 1 / 3];
    }

    /** @param \Closure(float): float $f */
    #[DataProvider('roots')]
    public function testARootIsFoundToItsLastDigit(\Closure $f, float $low, float $high, float $root): void
    {
        self::assertEqualsWithDelta($root, Root::bisect($f, $low, $high), 4e-16 * max(1.0, $root));
    }

    /** @param \Closure(float): float $f */
    #[DataProvider('roots')]
    public function testASmoothOneIsFoundInATenthOfTheCalls(\Closure $f, float $low, float $high, float $root): void
    {
        $calls = 0;
        $counted = function (float $x) use ($f, &$calls): float {
            $calls++;

            return $f($x);
        };
        self::assertEqualsWithDelta($root, Root::smooth($counted, $low, $high), 1e-15 * max(1.0, $root));
        self::assertLessThan(str_contains((string) $this->dataName(), 'step') ? 60 : 14, $calls);
    }

    public function testASmoothOneNeedsAChangeOfSign(): void
    {
        $this->expectException(NoBracket::class);
        $this->expectExceptionMessage('No change of sign between 0 and 2.');
        Root::smooth(fn (float $x): float => $x * $x + 1, 0.0, 2.0);
    }

    public function testWithoutAChangeOfSignThereIsNone(): void
    {
        foreach ([fn (float $x): float => $x * $x + 1, fn (float $x): float => -1.0 - $x] as $f) {
            try {
                Root::bisect($f, 0.0, 2.0);
                self::fail('a root was found where there is none');
            } catch (NoBracket $error) {
                self::assertSame('No change of sign between 0 and 2.', $error->getMessage());
            }
        }
    }

    public function testTheLeastIsTheGlobalOneAndMayLieAtAnEnd(): void
    {
        $two = fn (float $x): float => min((log($x) - log(2)) ** 2 + 0.01, (log($x) - log(70)) ** 2);
        self::assertEqualsWithDelta(70.0, Root::least($two, 1.0, 100.0, 40), 1e-5);
        self::assertEqualsWithDelta(1.0, Root::least(fn (float $x): float => $x, 1.0, 100.0, 40), 1e-9);
        self::assertEqualsWithDelta(100.0, Root::least(fn (float $x): float => -$x, 1.0, 100.0, 40), 1e-9);
    }

    public function testACurveGoesThroughItsPointsAndNeverPastThem(): void
    {
        foreach ([[[0.0, 1.0, 2.0, 3.0, 4.0], [0.0, 0.01, 10.0, 10.01, 3.0]], [[9.0, 4.0, 3.5, -1.0], [1.0, 8.0, 8.0, 9.0]]] as [$x, $y]) {
            $curve = new MonotoneCubic($x, $y);
            for ($piece = 0; $piece < count($x) - 1; $piece++) {
                $before = null;
                for ($step = 0; $step <= 20; $step++) {
                    $there = $curve->at($piece, $x[$piece] + ($x[$piece + 1] - $x[$piece]) * $step / 20);
                    self::assertGreaterThanOrEqual(min($y[$piece], $y[$piece + 1]) - 1e-12, $there);
                    self::assertLessThanOrEqual(max($y[$piece], $y[$piece + 1]) + 1e-12, $there);
                    self::assertTrue($before === null || ($there - $before) * ($y[$piece + 1] - $y[$piece]) >= -1e-12, 'it turns between two points');
                    $before = $there;
                }
                self::assertEqualsWithDelta([$y[$piece], $y[$piece + 1]], [$curve->at($piece, $x[$piece]), $curve->at($piece, $x[$piece + 1])], 1e-12);
            }
        }
    }

    public function testOfAStraightLineItIsThatLineAndSmoothWhereSlopesAgree(): void
    {
        $line = new MonotoneCubic([0.0, 1.0, 3.0], [1.0, 3.0, 7.0]);
        self::assertEqualsWithDelta([2.0, 5.0], [$line->at(0, 0.5), $line->at(1, 2.0)], 1e-12);
        self::assertEqualsWithDelta([0.0, 0.0, 4.0], $line->piece(1), 1e-12);
        $curve = new MonotoneCubic([0.0, 1.0, 2.0], [0.0, 1.0, 4.0]);
        $slope = fn (int $piece, float $x): float => ($curve->at($piece, $x + 1e-6) - $curve->at($piece, $x - 1e-6)) / 2e-6;
        self::assertEqualsWithDelta(2.0, $slope(0, 1.0), 1e-5, 'the mean of both secants');
        self::assertEqualsWithDelta(2.0, $slope(1, 1.0), 1e-5);
    }

    public function testATangentIsAtMostThreeTimesTheFlatterSecantAndWeightedByDistance(): void
    {
        $steep = new MonotoneCubic([0.0, 1.0, 2.0], [0.0, 1.0, 101.0]);
        self::assertEqualsWithDelta(3.0, $steep->piece(1)[2], 1e-12);
        $uneven = new MonotoneCubic([0.0, 1.0, 4.0], [0.0, 1.0, 7.0]);
        // (3·1 + 1·2) / 4, over a piece 3 wide.
        self::assertEqualsWithDelta(3 * 1.25, $uneven->piece(1)[2], 1e-12);
        self::assertSame(0.0, (new MonotoneCubic([0.0, 1.0, 2.0], [0.0, 1.0, 0.5]))->piece(1)[2], 'flat where it turns');
        self::assertSame(0.0, (new MonotoneCubic([0.0, 1.0, 2.0], [0.0, 1.0, 1.0]))->piece(1)[2], 'and where it begins to stand');
    }
}
