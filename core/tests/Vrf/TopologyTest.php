<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Vrf;

use IronStart\Core\Core;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a tree refuses to be read as, the path of each breach, and where its nodes are drawn. */
final class TopologyTest extends TestCase
{
    use Judges;

    private const NODES = [
        ['id' => 'O', 'kind' => 'outdoor', 'capacity' => '10 kW'], ['id' => 'J', 'kind' => 'joint'], ['id' => 'B', 'kind' => 'box', 'ports' => 3, 'capped' => [3]],
        ['id' => '1', 'kind' => 'indoor', 'capacity' => '2 kW'], ['id' => '2', 'kind' => 'indoor', 'capacity' => '3 kW', 'room' => 'Office', 'address' => '7'], ['id' => '3', 'kind' => 'indoor', 'capacity' => '5 kW'],
    ];
    private const PIPES = [
        ['from' => 'O', 'to' => 'J', 'actual' => '60 ft', 'rise' => '-10 ft'], ['from' => 'J', 'to' => 'B', 'actual' => '20 ft'], ['from' => 'B', 'to' => '1', 'actual' => '10 ft', 'ports' => [1]],
        ['from' => 'B', 'to' => '2', 'actual' => '30 ft', 'ports' => [2], 'liquid_od' => '1/4 in', 'gas_od' => '1/2 in'], ['from' => 'J', 'to' => '3', 'actual' => '15 ft'],
    ];
    private const TREE = ['nodes' => self::NODES, 'pipes' => self::PIPES, 'limits' => ['max_total' => '500 ft']];

    /**
     * @param array<string, mixed> $change
     */
    #[DataProvider('wrong')]
    public function testWhatCannotBeIsRefusedAtItsField(array $change, string $field, string $said): void
    {
        [$at, $message] = self::refused('vrf.topology', $change + self::TREE);
        self::assertSame($field, $at);
        self::assertStringContainsString($said, $message);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        $node = fn (array $more): array => ['nodes' => [...self::NODES, $more]];
        $pipe = fn (array $more): array => ['pipes' => [...self::PIPES, $more + ['actual' => '5 ft']]];
        yield 'a pipe from nowhere' => [$pipe(['from' => 'X', 'to' => '3']), 'pipes.5.from', 'nothing is called X. Enter: O, J, B, 1, 2, 3.'];
        yield 'a pipe to nowhere' => [$pipe(['from' => 'J', 'to' => 'X']), 'pipes.5.to', 'nothing is called X.'];
        yield 'ports of a joint' => [$pipe(['from' => 'J', 'to' => '3', 'ports' => [1]]), 'pipes.5.ports', 'J is no branch box. Leave the ports out.'];
        yield 'a name twice' => [$node(['id' => '3', 'kind' => 'joint']), 'nodes.6.id', 'is used twice'];
        yield 'an indoor unit that is set' => [$node(['id' => '4', 'kind' => 'indoor', 'capacity' => '1 kW', 'set' => 'tilted']), 'nodes.6.set', 'only a joint is set straight or tilted'];
        yield 'a box of no port' => [$node(['id' => 'B2', 'kind' => 'box', 'ports' => 0]), 'nodes.6.ports', '1 to 64'];
        yield 'a pipe without a length' => [['pipes' => [['from' => 'O', 'to' => 'J']]], 'pipes.0.actual', 'is required'];
        yield 'a ratio upside down' => [['limits' => ['ratio_min' => '130 %', 'ratio_max' => '50 %']], 'limits.ratio_max', 'it is less than ratio_min'];
    }

    public function testWhatIsMissingIsNamedAndNothingElseIsJudged(): void
    {
        $nodes = array_map(fn (array $node): array => $node['id'] === '2' ? ['capacity' => null] + $node : $node, self::NODES);
        self::assertSame(['open', ['missing:nodes.4.capacity']], self::found('vrf.topology', ['nodes' => $nodes, 'limits' => ['max_total' => '1 ft']] + self::TREE));
        self::assertSame(['open', ['missing:nodes', 'missing:pipes', 'missing:limits']], self::found('vrf.topology', []));
    }

    #[DataProvider('breaches')]
    public function testABreachNamesItsPath(string $limit, string $value, string $sentence): void
    {
        self::assertSame($sentence, Core::judge()->judge('vrf.topology', ['limits' => [$limit => $value]] + self::TREE, 'us')->headline);
    }

    /** @return iterable<array{string, string, string}> */
    public static function breaches(): iterable
    {
        yield ['max_farthest_actual', '100 ft', 'O > J > B > 2: 110 ft; the sheet takes 100 ft.'];
        yield ['max_after_first_joint', '40 ft', 'J > B > 2: 50 ft after the first joint; the sheet takes 40 ft.'];
        yield ['max_box_to_indoor', '20 ft', 'B > 2: 30 ft from the box; the sheet takes 20 ft.'];
        yield ['max_branch_difference', '30 ft', '3 > 2: one is 35 ft longer than the other; the sheet takes 30 ft.'];
        yield ['max_height_outdoor_above', '5 ft', 'O > J > B > 1: the outdoor unit is 10 ft above; the sheet takes 5 ft.'];
        yield ['max_total', '100 ft', '135 ft of piping in all; the sheet takes 100 ft.'];
    }

    public function testAPipeMayBeWrittenEitherWayRound(): void
    {
        $turned = self::PIPES;
        $turned[0] = ['from' => 'J', 'to' => 'O', 'actual' => '60 ft', 'rise' => '10 ft'];
        $of = fn (array $pipes): array => array_map(fn ($value): mixed => $value->value, self::judge('vrf.topology', ['pipes' => $pipes] + self::TREE)->values);
        self::assertSame($of(self::PIPES), $of($turned));
    }

    public function testWithSeveralModulesTheFarthestIsFromAnyOfThem(): void
    {
        $tree = ['nodes' => [...self::NODES, ['id' => 'O2', 'kind' => 'outdoor', 'capacity' => '10 kW']], 'pipes' => [...self::PIPES, ['from' => 'O2', 'to' => 'J', 'actual' => '90 ft', 'rise' => '8 ft']], 'limits' => ['max_farthest_actual' => '130 ft', 'max_height_outdoor_below' => '7 ft']];
        self::assertSame(['stop', ['farthest_actual_over', 'height_outdoor_below_over']], self::found('vrf.topology', $tree));
        self::assertSame(140.0, self::figure('vrf.topology', $tree, 'farthest_actual'));
        self::assertSame(50.0, self::figure('vrf.topology', $tree, 'connection_ratio'));
        self::assertSame(50.0, self::figure('vrf.topology', $tree, 'after_first_joint'), 'a module behind the joint is no branch');
        $at = self::drawn($tree);
        self::assertSame(0, $at['O2']['layer'], 'modules stand side by side');
    }

    public function testWithoutAnIndoorUnitOnlyTheSumIsGiven(): void
    {
        $values = self::judge('vrf.topology', ['nodes' => array_slice(self::NODES, 0, 2), 'pipes' => array_slice(self::PIPES, 0, 1)] + self::TREE)->values;
        self::assertSame(['total', 'after_first_joint', 'connection_ratio', 'indoor', 'free_ports'], array_keys($values));
    }

    public function testARatioMayHaveOneLimitOnBothSides(): void
    {
        self::assertSame(['clear', []], self::found('vrf.topology', ['limits' => ['ratio_min' => '100 %', 'ratio_max' => '100 %']] + self::TREE));
    }

    public function testAnOutdoorUnitOfNothingHasNoRatio(): void
    {
        $nodes = [['capacity' => '0 kW'] + self::NODES[0], ...array_slice(self::NODES, 1)];
        self::assertArrayNotHasKey('connection_ratio', self::judge('vrf.topology', ['nodes' => $nodes, 'limits' => ['ratio_max' => '130 %']] + self::TREE)->values);
    }

    public function testAPipeThatLeadsToNobodyNeedsNoSize(): void
    {
        $sized = array_map(fn (array $pipe): array => ['liquid_od' => '3/8 in', 'gas_od' => '5/8 in'] + $pipe, self::PIPES);
        $stub = ['nodes' => [...self::NODES, ['id' => 'S', 'kind' => 'joint']], 'pipes' => [...$sized, ['from' => 'J', 'to' => 'S', 'actual' => '1 ft']], 'limits' => ['sizes' => [['up_to' => '10 kW', 'liquid_od' => '3/8 in', 'gas_od' => '5/8 in']]]];
        self::assertSame(['clear', []], self::found('vrf.topology', $stub));
    }

    public function testPortsAreDrawnOfABoxThatHasThem(): void
    {
        $nodes = array_map(fn (array $node): array => ['ports' => null, 'capped' => null] + $node, self::NODES);
        self::assertArrayNotHasKey('ports', self::drawn(['nodes' => $nodes] + self::TREE)['B']);
        self::assertArrayNotHasKey('ports', self::drawn(['nodes' => [...self::NODES, ['id' => 'S', 'kind' => 'joint', 'ports' => 2]], 'pipes' => [...self::PIPES, ['from' => 'J', 'to' => 'S', 'actual' => '1 ft']]] + self::TREE)['S']);
    }

    public function testAPipeThatIsListedTwiceIsALoop(): void
    {
        self::assertSame(['stop', ['loop']], self::found('vrf.topology', ['pipes' => [...self::PIPES, self::PIPES[4]]] + self::TREE));
    }

    public function testATreeIsDrawnInLayersWithWhatServesSeveralOverTheirMiddle(): void
    {
        $at = self::drawn(self::TREE);
        self::assertSame(['O' => 0, 'J' => 1, 'B' => 2, 1 => 3, 2 => 3, 3 => 2], array_map(fn (array $node): int => $node['layer'], $at));
        self::assertSame(['O' => 1.25, 'J' => 1.25, 'B' => 0.5, 1 => 0.0, 2 => 1.0, 3 => 2.0], array_map(fn (array $node): float => $node['x'], $at));
        self::assertSame([['port' => 1, 'is' => 'used'], ['port' => 2, 'is' => 'used'], ['port' => 3, 'is' => 'capped']], $at['B']['ports']);
        self::assertSame(['Office', '7'], [$at[2]['room'], $at[2]['address']]);
        self::assertArrayNotHasKey('room', $at[1]);
    }

    public function testAUnitThatIsAddedAtTheEndMovesNobodyElse(): void
    {
        $before = self::drawn(self::TREE);
        $after = self::drawn(['nodes' => [...self::NODES, ['id' => '4', 'kind' => 'indoor', 'capacity' => '1 kW']], 'pipes' => [...self::PIPES, ['from' => '3', 'to' => '4', 'actual' => '5 ft']]] + self::TREE);
        foreach (['B', 1, 2, 3] as $id) {
            self::assertSame($before[$id]['x'], $after[$id]['x'], (string) $id);
        }
        self::assertSame(3, $after[4]['layer']);
    }

    public function testWhatHangsOnNothingIsDrawnBelowAllOthers(): void
    {
        $tree = ['nodes' => [...self::NODES, ['id' => '4', 'kind' => 'indoor', 'capacity' => '1 kW']]] + self::TREE;
        self::assertSame(['stop', ['orphan:4']], self::found('vrf.topology', $tree));
        self::assertSame(4, self::drawn($tree)[4]['layer']);
        self::assertSame([], self::judge('vrf.topology', $tree)->drawing['limits']);
        self::assertSame([], self::judge('vrf.topology', [])->drawing);
    }

    public function testALoopIsToldWithWhatHangsOnNothing(): void
    {
        $loop = ['nodes' => [...self::NODES, ['id' => '4', 'kind' => 'indoor', 'capacity' => '1 kW']], 'pipes' => [...self::PIPES, ['from' => 'O', 'to' => '3', 'actual' => '5 ft']]] + self::TREE;
        self::assertSame(['stop', ['loop', 'orphan:4']], self::found('vrf.topology', $loop));
        self::assertCount(7, self::drawn($loop), 'it is drawn all the same');
    }

    public function testEveryLimitStandsBesideThePathThatComesNearestToIt(): void
    {
        $limits = self::judge('vrf.topology', ['limits' => ['max_total' => '100 ft', 'max_farthest_actual' => '220 ft', 'max_box_to_indoor' => '30 ft', 'max_height_outdoor_above' => '0 ft', 'ratio_max' => '200 %']] + self::TREE)->drawing['limits'];
        self::assertIsArray($limits);
        self::assertSame(
            [['all piping', 1.35, 'stop', []], ['farthest indoor unit', 0.5, 'plain', ['O', 'J', 'B', '2']], ['box to indoor unit', 1.0, 'plain', ['B', '2']], ['outdoor unit above', 2.0, 'stop', ['O', 'J', 'B', '1']], ['connection ratio', 0.5, 'plain', []]],
            array_map(fn (array $row): array => [$row['name'], round($row['share'], 9), $row['is'], $row['path']], $limits),
        );
    }

    public function testFiguresOfTheDrawingAreSaidInTheUnitsAsked(): void
    {
        $said = fn (string $units): array => Core::judge()->judge('vrf.topology', self::TREE, $units === 'us' ? 'us' : 'si')->judgement->drawing;
        self::assertSame(['60 ft', '-10 ft'], [$said('us')['pipes'][0]['length'], $said('us')['pipes'][0]['rise']]);
        self::assertSame(['18.3 m', '1/4 in.', '1/2 in.', [2]], [$said('si')['pipes'][0]['length'], $said('si')['pipes'][3]['liquid'], $said('si')['pipes'][3]['gas'], $said('si')['pipes'][3]['ports']]);
        self::assertSame(['all piping', '135 ft', '500 ft'], [$said('us')['limits'][0]['name'], $said('us')['limits'][0]['value'], $said('us')['limits'][0]['limit']]);
    }

    /**
     * @param array<string, mixed> $tree
     * @return array<array-key, array<string, mixed>> nodes by id
     */
    private static function drawn(array $tree): array
    {
        $nodes = self::judge('vrf.topology', $tree)->drawing['nodes'];
        self::assertIsArray($nodes);

        return array_column($nodes, null, 'id');
    }
}
