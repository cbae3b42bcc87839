<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

use IronStart\Core\Core;
use IronStart\Core\Judge\Registry;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;

/** A limit belongs to the milder side: at it the milder word, just over it the graver one. */
final class LimitsTest extends TestCase
{
    /**
     * @param array<string, mixed> $input
     * @param list<string>         $codes
     */
    #[DataProviderExternal(Limits::class, 'cases')]
    public function testALimitBelongsToTheMilderSide(string $check, array $input, string $status, array $codes): void
    {
        $verdict = Core::judge()->judge($check, $input, 'us');
        self::assertSame($status, $verdict->judgement->status->value, $verdict->headline . ' ' . json_encode($verdict->judgement->codes()));
        self::assertEqualsCanonicalizing($codes, $verdict->judgement->codes());
    }

    public function testNoCheckIsWithoutItsLimits(): void
    {
        self::assertSame([], array_values(array_diff((new Registry())->ids(), array_keys(Limits::all()), ['job.gates'])));
    }
}
