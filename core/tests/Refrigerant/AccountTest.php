<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Refrigerant;

use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class AccountTest extends TestCase
{
    use Judges;

    /** Out 10 lb, in 6 lb, 2 lb back into the cylinder, 4 oz in the hoses, 1 lb from one module into the other. */
    private const JOB = ['plate_charge' => '10 lb', 'entries' => [
        ['kind' => 'recovered', 'cylinder' => 'A', 'start' => '30 lb', 'end' => '40 lb'],
        ['kind' => 'charged', 'cylinder' => 'B', 'start' => '25 lb', 'end' => '19 lb'],
        ['kind' => 'returned', 'cylinder' => 'C', 'start' => '10 lb', 'end' => '12 lb'],
        ['kind' => 'lost', 'mass' => '4 oz'],
        ['kind' => 'moved', 'mass' => '1 lb', 'from' => 'M1', 'to' => 'M2'],
    ]];

    public function testTheSumsCanBeWorkedByHand(): void
    {
        $values = array_map(fn ($v): mixed => $v->value, self::judge('refrigerant.account', self::JOB)->values);
        self::assertEqualsWithDelta(160.0, $values['recovered'], 1e-6);
        self::assertEqualsWithDelta(96.0, $values['charged'], 1e-6);
        self::assertEqualsWithDelta(32.0, $values['returned'], 1e-6);
        self::assertEqualsWithDelta(4.0, $values['lost'], 1e-6);
        self::assertEqualsWithDelta(16.0, $values['moved'], 1e-6);
        self::assertEqualsWithDelta(96 - 160 - 32 - 4, $values['net'], 1e-6, 'what was moved stays in the system');
        self::assertEqualsWithDelta(100.0, $values['recovered_share'], 1e-6);
    }

    public function testTheFieldChargeCountsToTheWhole(): void
    {
        self::assertEqualsWithDelta(80.0, self::figure('refrigerant.account', ['field_charge' => '2.5 lb'] + self::JOB, 'recovered_share'), 1e-6);
    }

    public function testWhatIsInTheSystemFollowsTheNet(): void
    {
        self::assertEqualsWithDelta(60.0, self::figure('refrigerant.account', ['in_system_start' => '10 lb'] + self::JOB, 'in_system'), 1e-6);
        self::assertNull(self::figure('refrigerant.account', self::JOB, 'in_system'));
    }

    /** @return iterable<string, array{list<array<string, mixed>>, list<string>}> */
    public static function weighings(): iterable
    {
        $b = fn (string $start, string $end, string $cylinder = 'B'): array => ['kind' => 'charged', 'cylinder' => $cylinder, 'start' => $start, 'end' => $end];
        yield 'on from where it stood' => [[$b('25 lb', '20 lb'), $b('20 lb', '18 lb')], []];
        yield 'lighter than it stood' => [[$b('25 lb', '20 lb'), $b('19 lb', '18 lb')], ['gap:B']];
        yield 'heavier than it stood' => [[$b('25 lb', '20 lb'), $b('21 lb', '18 lb')], ['gap:B']];
        yield 'told once a cylinder' => [[$b('25 lb', '20 lb'), $b('19 lb', '18 lb'), $b('17 lb', '16 lb')], ['gap:B']];
        yield 'each cylinder by itself' => [[$b('25 lb', '20 lb'), $b('12 lb', '11 lb', 'D')], []];
        yield 'one without a name' => [[$b('25 lb', '20 lb', ''), $b('12 lb', '11 lb', '')], []];
        yield 'the wrong way' => [[$b('20 lb', '25 lb')], ['wrong_way:0']];
    }

    /**
     * @param list<array<string, mixed>> $entries
     * @param list<string>               $codes
     */
    #[DataProvider('weighings')]
    public function testOneWeighingIsHeldAgainstTheOneBefore(array $entries, array $codes): void
    {
        $found = self::judge('refrigerant.account', ['plate_charge' => '10 lb', 'entries' => array_map(array_filter(...), $entries)])->codes();
        self::assertSame($codes, array_values(array_filter($found, fn (string $code): bool => ! str_starts_with($code, 'missing'))));
    }

    public function testAHalfWeighedCylinderIsOpenNotWrong(): void
    {
        self::assertSame(['open', ['missing:entries.0.end']], self::found('refrigerant.account', ['plate_charge' => '10 lb', 'entries' => [['kind' => 'recovered', 'start' => '30 lb']]]));
        self::assertSame(['open', ['missing:entries.0.mass']], self::found('refrigerant.account', ['plate_charge' => '10 lb', 'entries' => [['kind' => 'lost']]]));
    }

    public function testTheNameplateIsOnlyAskedForWhereSomethingCameBack(): void
    {
        $charged = [['kind' => 'charged', 'start' => '20 lb', 'end' => '19 lb']];
        self::assertSame('clear', self::judge('refrigerant.account', ['entries' => $charged])->status->value);
        self::assertContains('missing:plate_charge', self::judge('refrigerant.account', ['entries' => [['kind' => 'recovered', 'start' => '20 lb', 'end' => '21 lb']]])->codes());
    }

    public function testTheBarsStandInPounds(): void
    {
        $drawing = self::judge('refrigerant.account', self::JOB)->drawing;
        self::assertSame('lb', $drawing['unit']);
        self::assertEqualsWithDelta([10.0, 10.0, 6.0, 0.25], array_column($drawing['bars'], 'value'), 1e-9);
    }
}
