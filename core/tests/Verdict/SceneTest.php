<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Verdict;

use IronStart\Core\Verdict\Scene;
use IronStart\Core\Verdict\Value;
use PHPUnit\Framework\TestCase;

final class SceneTest extends TestCase
{
    public function testWhatHasNoBodyIsNoDrawing(): void
    {
        self::assertSame([], Scene::plan(true)->drawing());
        self::assertSame([], Scene::section(false)->dim([0, 0], [1, 0], 0.1, 1.0, 'length')->drawing());
    }

    public function testAViewIsToldWithItsUnits(): void
    {
        $plan = Scene::plan(true)->box('curb', 0, 0, 2, 1)->drawing();
        self::assertSame(['scene', 'plan', true], [$plan['shape'], $plan['view'], $plan['small']]);
        $section = Scene::section(false)->box('roof', 0, 0, 2, 1)->drawing();
        self::assertSame(['section', false], [$section['view'], $section['small']]);
    }

    public function testABoxIsItsFourCorners(): void
    {
        $body = Scene::plan(true)->box('curb', 1.0, 2.0, 3.0, 0.5, 'curb', 'pale', 'top')->drawing()['bodies'][0];
        self::assertSame([[1.0, 2.0], [4.0, 2.0], [4.0, 2.5], [1.0, 2.5]], $body['points']);
        self::assertSame(['curb', 'curb', 'pale', true, 'top'], [$body['id'], $body['word'], $body['is'], $body['closed'], $body['at']]);
    }

    public function testADimensionBetweenTwoPointsThatAreOneIsLeftOut(): void
    {
        $dims = fn (float $length): int => count(Scene::plan(true)->box('curb', 0, 0, 1, 1)->dim([0, 0], [$length, 0], 0.1, $length, 'length')->drawing()['dims']);
        self::assertSame(0, $dims(0.0));
        self::assertSame(0, $dims(0.0005), 'half a millimetre is one point');
        self::assertSame(1, $dims(0.0006));
    }

    public function testAHandleTellsTheMeasuresItChanges(): void
    {
        $scene = Scene::plan(true)->box('base', 0, 0, 1, 1)->dim([0, 0], [0.4, 0], 0.1, 0.4, 'offset.x')->dim([0, 0], [0, 0.2], 0.1, 0.2, 'offset.y');
        self::assertSame(['x' => 0.4, 'y' => 0.2], $scene->handle('base', [0.5, 0.5], 'offset.x', 'offset.y')->drawing()['handles'][0]['value']);
        self::assertSame(['x' => 0.4, 'y' => 0.0], $scene->handle('', [0.5, 0.5], '-offset.x')->drawing()['handles'][1]['value'], 'grown to the left it is the same measure');
        self::assertSame(['x' => 7.0, 'y' => 8.0], $scene->handle('', [0.5, 0.5], 'offset.x', 'offset.y', [7.0, 8.0])->drawing()['handles'][2]['value'], 'what is told by itself wins');
        self::assertSame(['x' => 0.0, 'y' => 0.0], $scene->handle('', [0.5, 0.5], 'unknown')->drawing()['handles'][3]['value']);
    }

    public function testAFigureStandsWhereItIsPut(): void
    {
        $marks = Scene::plan(false)->box('base', 0, 0, 1, 1)->mark([0.25, 0.75], Value::of(250.0, 'lb'), 'stop')->drawing()['marks'];
        self::assertSame([0.25, 0.75], $marks[0]['at']);
        self::assertSame('stop', $marks[0]['is']);
        self::assertSame(250.0, $marks[0]['value']->value);
    }
}
