<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\TestCase;

/** The rules of the layers bite: a planted violation is found by the very analysis that passes the rest. */
final class LayersTest extends TestCase
{
    /** What the analysis finds, by the rule that finds it. */
    private const PLANTED = [
        'test_the_core_uses_nothing_outside_itself' => ['CoreThatAsksTheFramework should not depend on Illuminate\Support\Collection'],
        'test_the_contract_of_a_check_knows_nobody_above_it' => ['CheckThatKnowsTheGates should not depend on IronStart\Core\Gate\Gates'],
        'test_nothing_inside_knows_the_edge' => [
            'ActionThatKnowsHttp should not depend on App\Http\DeviceHeaders',
            'QueryThatReadsRequests should not depend on Illuminate\Http\Request',
            'RefusalThatAnswers should not depend on App\Http\Problems\Problem',
        ],
        'test_models_know_nobody_who_asks' => ['RowThatKnowsWhoAsks should not depend on App\Queries\Standings'],
        'test_views_are_shapes_alone' => ['ViewThatAsks should not depend on App\Models\Machine'],
    ];

    public function testEveryPlantedViolationIsFound(): void
    {
        $root = dirname(__DIR__, 2);
        exec("cd $root && php -d memory_limit=1G vendor/bin/phpstan analyse -c tests/Architecture/planted.neon --no-progress --error-format=raw 2>/dev/null", $lines, $code);
        self::assertSame(1, $code);
        foreach (array_merge(...array_values(self::PLANTED)) as $planted) {
            self::assertStringContainsString($planted, implode("\n", $lines));
        }
    }

    public function testNoRuleIsWithoutAPlantedViolation(): void
    {
        self::assertSame(array_keys(self::PLANTED), array_values(preg_grep('/^test_/', get_class_methods(Layers::class)) ?: []));
    }
}
