<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Verdict;

use Eris\Generator;
use Eris\TestTrait;
use IronStart\Core\Power\ThreeLegs;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Uncertainty;
use IronStart\Core\Verdict\Word;
use PHPUnit\Framework\TestCase;

final class UncertaintyTest extends TestCase
{
    use TestTrait;

    protected function setUp(): void
    {
        $this->seed = 20260507;
    }

    /** One reading by one instrument: 0.95 a and 0.30 a by root-sum-square are about a again. */
    public function testASingleReadingKeepsAboutItsAccuracy(): void
    {
        $u = Uncertainty::sharedInstrument(fn (array $v): array => ['x' => $v[0]], [480.0], 0.01);
        self::assertEqualsWithDelta(4.8 * sqrt(0.95 ** 2 + 0.30 ** 2), $u['x'], 1e-9);
    }

    /** A gain error cancels in an unbalance: 1 % of meter leaves about a quarter of a point. */
    public function testASharedGainErrorDoesNotDrownAnUnbalance(): void
    {
        $u = Uncertainty::sharedInstrument(fn (array $v): array => ['u' => ThreeLegs::of($v)->unbalance()], [470.0, 484.0, 484.0], 0.01);
        self::assertGreaterThan(0.15, $u['u']);
        self::assertLessThan(0.35, $u['u']);
    }

    public function testARatioOfOneInstrumentIsBetterThanItsReadings(): void
    {
        $this->limitTo(50)->forAll(Generator\choose(100, 600), Generator\choose(100, 600))->then(function (int $a, int $b): void {
            $ratio = fn (array $v): array => ['r' => $v[0] / $v[1]];
            $shared = Uncertainty::sharedInstrument($ratio, [(float) $a, (float) $b], 0.01)['r'];
            $alone = Uncertainty::eachAlone($ratio, [(float) $a, (float) $b], [$a * 0.01, $b * 0.01])['r'];
            self::assertLessThan($alone, $shared);
        });
    }

    public function testItDecidesOnlyWhereTheOutcomeTurns(): void
    {
        $over = fn (array $j): bool => $j['x'] > 2.0;
        self::assertTrue(Uncertainty::decides($over, ['x' => 1.9], ['x' => 0.2]));
        self::assertTrue(Uncertainty::decides($over, ['x' => 2.1], ['x' => 0.2]));
        self::assertFalse(Uncertainty::decides($over, ['x' => 1.7], ['x' => 0.2]));
    }

    public function testALimitBelongsToTheMilderSide(): void
    {
        self::assertFalse(Limit::over(2.0, 2.0));
        self::assertFalse(Limit::over(2.0 + 1e-10, 2.0));
        self::assertTrue(Limit::over(2.001, 2.0));
        self::assertFalse(Limit::under(22.0, 22.0));
        self::assertTrue(Limit::within(27.0, 22.0, 27.0));
        foreach ([NAN, INF] as $bad) {
            self::assertFalse(Limit::within($bad, 0.0, 1.0));
        }
    }

    public function testTheWorstFindingIsTheStatusAndNotesGoNowhere(): void
    {
        $judged = new Judgement([Finding::watch('a'), Finding::stop('b:one'), Finding::note('told'), Finding::stop('b:one')]);
        self::assertSame(Status::Stop, $judged->status);
        self::assertSame(['a', 'b:one'], $judged->codes());
        self::assertSame(Status::Clear, (new Judgement([]))->status);
        self::assertSame(Status::Open, Judgement::worst([Finding::open('x'), Finding::watch('y')]));
    }

    public function testAFindingIsKeptWithItsFiguresUnrounded(): void
    {
        $kept = Finding::stop('under_voltage', ['volts' => Said::volts(413.96), 'leg' => Word::of('leg', 'ab'), 'name' => 'C1'])->toArray();
        self::assertSame(['value' => 413.96, 'unit' => 'V'], $kept['params']['volts']);
        self::assertSame([['ab'], 'C1', 'stop'], [$kept['params']['leg'], $kept['params']['name'], $kept['status']]);
    }
}
