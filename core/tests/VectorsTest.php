<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

use IronStart\Core\Core;
use IronStart\Core\Judge\LineJudge;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;

/** Every recorded case is answered as it was worked out by hand. */
final class VectorsTest extends TestCase
{
    private static ?LineJudge $judge = null;

    /** @param array<string, mixed> $case */
    #[DataProviderExternal(Corpus::class, 'vectors')]
    public function testTheAnswerIsTheWorkedOne(array $case): void
    {
        self::$judge ??= new LineJudge(Core::judge());
        $line = json_encode(array_intersect_key($case, array_flip(['id', 'check', 'units', 'input'])), JSON_THROW_ON_ERROR);
        $answer = json_decode(self::$judge->answer($line), true, 512, JSON_THROW_ON_ERROR);
        $expect = json_decode((string) json_encode($case['expect']), true);
        self::assertSame($case['id'], $answer['id']);
        if (isset($expect['error_field'])) {
            self::assertSame($expect['error_field'], $answer['error']['field'] ?? null, json_encode($answer) ?: '');

            return;
        }
        self::assertSame($expect['status'], $answer['status'] ?? null, json_encode($answer) ?: '');
        self::assertEqualsCanonicalizing($expect['codes'] ?? [], $answer['codes']);
        foreach ($expect['values'] ?? [] as $name => $value) {
            self::assertSame($value['unit'], $answer['values'][$name]['unit'] ?? null, "unit of $name");
            $got = $answer['values'][$name]['value'];
            $room = max(($case['tolerance'] ?? 1e-4) * max(abs($got), abs($value['value'])), 1e-9);
            self::assertEqualsWithDelta($value['value'], $got, $room, $name);
        }
        foreach ($expect['text'] ?? [] as $name => $value) {
            self::assertEquals($value, $answer['values'][$name] ?? null, $name);
        }
        if (isset($expect['marginal'])) {
            self::assertSame($expect['marginal'], $answer['marginal']);
        }
    }
}
