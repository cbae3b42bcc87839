<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Power;

use Eris\Generator;
use Eris\TestTrait;
use IronStart\Core\Core;
use IronStart\Core\Verdict\Finding;
use PHPUnit\Framework\TestCase;

/** What must hold of every rotation verdict, whatever was seen. */
final class RotationTest extends TestCase
{
    use TestTrait;

    private const SHUTS_RUN = ['supply_reversed', 'load_reversed', 'phase_lost', 'conflict', 'needs_meter', 'suspect'];

    protected function setUp(): void
    {
        $this->seed = 20260505;
    }

    public function testALoadSeenBackwardsOnTheLineIsNeverCleared(): void
    {
        $this->limitTo(150)->forAll(...$this->evidence())->then(function (string $meter, string $monitor, array $seen): void {
            $verdict = $this->judge($meter, $monitor, $seen);
            if (in_array('backwards', $seen, true)) {
                self::assertSame('stop', $verdict['status'], json_encode([$meter, $monitor, $seen]) ?: '');
                $words = array_map(fn (string $code): string => explode(':', $code)[0], $verdict['codes']);
                self::assertNotSame([], array_intersect($words, self::SHUTS_RUN));
            } else {
                self::assertNotContains('load_reversed', $verdict['codes']);
            }
        });
    }

    public function testLoadsThatCantTellChangeNothing(): void
    {
        $this->limitTo(100)->forAll(...$this->evidence())->then(function (string $meter, string $monitor, array $seen): void {
            $without = $this->judge($meter, $monitor, $seen);
            $with = $this->judge($meter, $monitor, $seen, [['name' => 'ecm fan', 'kind' => 'condenser_fan', 'drive' => 'ecm', 'observed' => 'correct']]);
            self::assertSame([$without['status'], $without['codes']], [$with['status'], $with['codes']]);
        });
    }

    public function testTheOrderOfTheLoadsDoesNotMatter(): void
    {
        $this->limitTo(100)->forAll(...$this->evidence())->then(function (string $meter, string $monitor, array $seen): void {
            $forth = $this->judge($meter, $monitor, $seen);
            $back = $this->judge($meter, $monitor, array_reverse($seen, true));
            self::assertSame($forth['status'], $back['status']);
            self::assertEqualsCanonicalizing($forth['codes'], $back['codes']);
        });
    }

    public function testAMinuteBackwardsIsSparedAndMoreIsNot(): void
    {
        foreach (['60 s' => false, '61 s' => true, '1 min' => false, '0.02 h' => true] as $time => $asks) {
            $verdict = $this->judge('abc', 'ok', [], [['name' => 'C1', 'kind' => 'scroll', 'drive' => 'across_line', 'hours_backwards' => $time]]);
            self::assertSame($asks, in_array('after_reversal:C1', $verdict['codes'], true), $time);
        }
    }

    public function testEachMotorSwappedAtItselfIsProvedAndWatched(): void
    {
        $loads = array_map(fn (string $name): array => ['name' => $name, 'kind' => 'blower', 'drive' => 'across_line', 'observed' => 'correct'], ['B1', 'B2']);
        $said = fn (array $more): array => array_map(
            fn (Finding $f): string => "{$f->status->value} {$f->code}",
            Core::judge()->judge('power.rotation', ['meter' => 'cba', 'loads' => $loads] + $more, 'us')->judgement->findings,
        );
        self::assertSame(['watch proved', 'watch all_swapped'], array_slice($said(['meter_confirmed' => true]), 0, 2));
        self::assertSame('stop conflict', $said([])[0]);
        self::assertSame('stop conflict', $said(['meter_confirmed' => true, 'monitor' => 'reversed'])[0]);
    }

    /** @return list<mixed> */
    private function evidence(): array
    {
        return [
            Generator\elements('abc', 'cba', 'none'),
            Generator\elements('ok', 'reversed', 'none'),
            Generator\vector(3, Generator\elements('correct', 'backwards', 'not_run')),
        ];
    }

    /**
     * @param array<int, string> $seen
     * @param list<array<string, mixed>> $more
     * @return array<string, mixed>
     */
    private function judge(string $meter, string $monitor, array $seen, array $more = []): array
    {
        $loads = [];
        foreach ($seen as $i => $observed) {
            $loads[] = ['name' => "motor $i", 'kind' => 'blower', 'drive' => 'across_line', 'observed' => $observed];
        }

        return Core::judge()->judge('power.rotation', ['meter' => $meter, 'monitor' => $monitor, 'loads' => [...$loads, ...$more]], 'us')->toArray();
    }
}
