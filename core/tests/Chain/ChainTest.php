<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Chain;

use IronStart\Core\Chain\Chain;
use PHPUnit\Framework\TestCase;

final class ChainTest extends TestCase
{
    private const ID = '0e6f3a52-4c5e-4d0e-9a64-2f6f0c1d7a11';

    public function testTheFirstDigestIsOfTheRecordsIdAndEachStandsOnTheOneBefore(): void
    {
        $zero = hash('sha256', self::ID);
        self::assertSame($zero, Chain::start(self::ID));
        self::assertSame(hash('sha256', "$zero\n" . '{"a":1,"b":[2.5]}'), Chain::next($zero, ['b' => [2.5], 'a' => 1]));
    }

    public function testWhatWasChangedLeftOutOrMovedIsFoundAtItsPlace(): void
    {
        $entries = array_map(fn (int $n): array => ['at' => $n, 'text' => "entry $n"], range(1, 6));
        $digests = [];
        foreach ($entries as $entry) {
            $digests[] = Chain::next(end($digests) ?: Chain::start(self::ID), $entry);
        }
        self::assertNull(Chain::firstBroken(self::ID, $entries, $digests));
        self::assertSame(3, Chain::firstBroken(self::ID, array_replace($entries, [3 => ['text' => 'entry 4', 'at' => 4, 'x' => null]]), $digests));
        self::assertSame(1, Chain::firstBroken(self::ID, [$entries[0], ...array_slice($entries, 2)], [$digests[0], ...array_slice($digests, 2)]));
        self::assertSame(0, Chain::firstBroken(self::ID . 'x', $entries, $digests));
        self::assertSame(5, Chain::firstBroken(self::ID, array_replace($entries, [5 => "\xff"]), $digests));
        // A change that mends its own digest breaks the next.
        $forged = ['at' => 3, 'text' => 'better'];
        self::assertSame(3, Chain::firstBroken(self::ID, array_replace($entries, [2 => $forged]), array_replace($digests, [2 => Chain::next($digests[1], $forged)])));
        $this->expectException(\InvalidArgumentException::class);
        Chain::firstBroken(self::ID, $entries, []);
    }
}
