<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Refrigerant;

use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ReboundTest extends TestCase
{
    use Judges;

    /** @return iterable<string, array{float, float, float, float}> psig it starts at, psig it settles at, minutes of its time constant, minutes between readings */
    public static function rises(): iterable
    {
        yield 'slow' => [-2.0, 8.0, 10.0, 1.0];
        yield 'quick' => [0.0, 3.0, 2.0, 1.0];
        yield 'read twice a minute' => [-5.0, 20.0, 6.0, 0.5];
        yield 'read every three minutes' => [0.0, 40.0, 12.0, 3.0];
    }

    #[DataProvider('rises')]
    public function testARiseThatBendsIsFollowedToWhereItSettles(float $from, float $to, float $constant, float $every): void
    {
        $at = fn (float $t): float => $to - ($to - $from) * exp(-$t / $constant);
        $read = self::read(...array_map(fn (int $i): array => [$i * $every, $at($i * $every)], range(0, 5)));
        self::assertEqualsWithDelta($to, self::figure('refrigerant.rebound', $read, 'settles_at'), 1e-6);
    }

    public function testARiseThatDoesNotBendSettlesNowhere(): void
    {
        self::assertNull(self::figure('refrigerant.rebound', self::read([0, 0], [1, 1], [2, 2], [3, 3], [4, 4]), 'settles_at'));
        self::assertNull(self::figure('refrigerant.rebound', self::read([0, 0], [1, 0], [2, 0], [3, 0], [4, 1]), 'settles_at'));
        self::assertSame(0.5, self::figure('refrigerant.rebound', self::read([0, 0], [1, 0.2], [2, 0.4], [3, 0.5], [4, 0.5]), 'settles_at'));
    }

    /** A rise whose step shrinks by less than a twentieth a reading is as good as straight. */
    public function testARiseThatHardlyBendsSettlesNowhere(): void
    {
        $steps = fn (float $ratio): array => self::read([0, 0], [1, 0.5], [2, 1], [3, 2], [4, 2 + $ratio]);
        self::assertNull(self::figure('refrigerant.rebound', $steps(0.951), 'settles_at'));
        self::assertEqualsWithDelta(1 + 1 / (1 - 0.95), self::figure('refrigerant.rebound', $steps(0.95), 'settles_at'), 1e-6);
        self::assertNull(self::figure('refrigerant.rebound', self::read([0, 0], [1, 0.5], [2, 1], [3, 2], [4, 1.9]), 'settles_at'), 'it falls');
    }

    /** Whoever reads only one line of it must not read a milder word there. */
    public function testEveryLineOfLiquidLeftIsAStopByItself(): void
    {
        $found = self::judge('refrigerant.rebound', self::read([0, 0], [2, 3], [3, 0], [5, 6], [9, 11]))->findings;
        $statuses = array_column(array_map(fn ($f): array => [$f->code, $f->status->value], $found), 1, 0);
        self::assertSame(['pulled_again' => 'clear', 'liquid_left' => 'stop', 'rise' => 'stop', 'pressure' => 'stop', 'came_back' => 'stop'], $statuses);
    }

    public function testFourReadingsAreTooFewToFollow(): void
    {
        $four = [[0, 0], [1, 2], [2, 3], [3, 3.5]];
        self::assertNull(self::figure('refrigerant.rebound', self::read(...$four), 'settles_at'));
        self::assertEqualsWithDelta(4.0, self::figure('refrigerant.rebound', self::read(...$four, ...[[4, 3.75]]), 'settles_at'), 1e-9);
    }

    public function testWhatIsLeftToWaitIsToldInMinutes(): void
    {
        self::assertEqualsWithDelta(2.5, self::figure('refrigerant.rebound', self::read([0, 0], [2.5, 0.1]), 'time_left'), 1e-9);
        self::assertNull(self::figure('refrigerant.rebound', self::read([0, 0], [5, 0.1]), 'time_left'));
    }

    public function testPulledAgainItCountsFromThere(): void
    {
        $read = self::read([0, 0], [4, 6], [5, 0], [8, 1], [10, 1.5]);
        self::assertSame(1.5, self::figure('refrigerant.rebound', $read, 'rise'));
        self::assertSame(2, self::judge('refrigerant.rebound', $read)->drawing['from']);
    }

    public function testFrostIsLiquidWhateverTheGaugeSays(): void
    {
        $found = self::judge('refrigerant.rebound', ['frost_on_liquid_line' => true] + self::read([0, 0], [5, 0]));
        self::assertSame('stop', $found->status->value);
        self::assertSame(['liquid_left', 'frost'], array_slice($found->codes(), 0, 2));
    }

    /** @return iterable<string, array{array<int, array{float|int, float|int}>, string}> */
    public static function backwards(): iterable
    {
        yield 'earlier' => [[[0, 0], [3, 1], [2, 1]], 'readings.2.minutes'];
        yield 'the same minute' => [[[0, 0], [0, 1]], 'readings.1.minutes'];
    }

    /** @param list<array{float|int, float|int}> $points */
    #[DataProvider('backwards')]
    public function testTimesRunForwards(array $points, string $field): void
    {
        self::assertSame($field, self::refused('refrigerant.rebound', self::read(...$points))[0]);
    }

    public function testTheColdestPartMustLieInTheTable(): void
    {
        self::assertSame('ambient', self::refused('refrigerant.rebound', ['refrigerant' => 'R-410A', 'ambient' => '-120 degF'] + self::read([0, 0]))[0]);
        self::assertSame('', self::refused('refrigerant.rebound', ['refrigerant' => 'R-999', 'ambient' => '-39 degF'] + self::read([0, 0]))[0]);
    }

    /** At -37 °F R-410A stands near 14 psig, R-134a at about a vacuum of 10 psi. */
    public function testLiquidThatStandsLowIsNotSeenByAGauge(): void
    {
        $at = fn (string $refrigerant): ?float => self::figure('refrigerant.rebound', ['refrigerant' => $refrigerant, 'ambient' => '-30 degF'] + self::read([0, 0], [5, 0]), 'stands_at');
        self::assertGreaterThan(10.0, $at('R-410A'));
        self::assertLessThan(0.0, $at('R-134a'));
        self::assertContains('too_cold', self::judge('refrigerant.rebound', ['refrigerant' => 'R-134a', 'ambient' => '-30 degF'] + self::read([0, 0], [5, 0]))->codes());
        self::assertNotContains('too_cold', self::judge('refrigerant.rebound', ['refrigerant' => 'R-410A', 'ambient' => '-30 degF'] + self::read([0, 0], [5, 0]))->codes());
    }

    public function testTheCurveCarriesItsLimits(): void
    {
        $drawing = self::judge('refrigerant.rebound', self::read([0, 0], [5, 1]))->drawing;
        self::assertSame(['stop', 'watch'], array_column($drawing['lines'], 'is'));
        self::assertEqualsWithDelta(10.0, $drawing['lines'][0]['value'], 1e-9);
        self::assertEqualsWithDelta(2.0, $drawing['lines'][1]['value'], 1e-9);
        self::assertSame([0.0, 5.0], array_column($drawing['points'], 0));
        self::assertSame([], self::judge('refrigerant.rebound', ['finish' => 'at_zero'])->drawing);
    }

    /**
     * @param array{float|int, float|int} ...$points minutes, psig
     * @return array<string, mixed>
     */
    private static function read(array ...$points): array
    {
        return ['finish' => 'at_zero', 'readings' => array_map(fn (array $p): array => ['minutes' => $p[0], 'pressure' => "$p[1] psig"], array_values($points))];
    }
}
