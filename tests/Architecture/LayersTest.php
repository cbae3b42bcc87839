<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\TestCase;

/** The rules of the layers bite: a planted violation is found by the very analysis that passes the rest. */
final class LayersTest extends TestCase
{
    public function testAPlantedViolationIsFound(): void
    {
        $root = dirname(__DIR__, 2);
        exec("cd $root && php -d memory_limit=1G vendor/bin/phpstan analyse -c tests/Architecture/planted.neon --no-progress --error-format=raw 2>/dev/null", $lines, $code);
        self::assertSame(1, $code);
        self::assertStringContainsString('CoreThatAsksTheFramework should not depend on Illuminate\Support\Collection', implode("\n", $lines));
    }
}
