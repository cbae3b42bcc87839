<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Judge;

use IronStart\Core\Core;
use IronStart\Core\Judge\LineJudge;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LineJudgeTest extends TestCase
{
    /** @return iterable<string, array{string, string}> line, field of the error */
    public static function badLines(): iterable
    {
        yield 'blank' => ['', ''];
        yield 'no JSON' => ['{"check":', ''];
        yield 'a list' => ['[1]', ''];
        yield 'no check' => ['{"id":7}', 'check'];
        yield 'unknown check' => ['{"check":"power.magic"}', 'check'];
        yield 'check is no text' => ['{"check":5}', 'check'];
        yield 'wrong units' => ['{"check":"power.voltage","units":"imperial"}', 'units'];
        yield 'input is a list' => ['{"check":"power.voltage","input":[]}', 'input'];
        yield 'unknown member' => ['{"check":"power.voltage","inputs":{}}', 'inputs'];
        yield 'unknown key' => ['{"check":"power.voltage","input":{"volts_xy":"1 V"}}', 'volts_xy'];
        yield 'the first error in the order of the keys' => ['{"check":"power.voltage","input":{"zzz":1,"volts_ca":"x","volts_ab":"y"}}', 'volts_ab'];
        yield 'a contradiction stands at its own key' => ['{"check":"power.voltage","input":{"loaded":"x","volts_min":"500 V","volts_max":"400 V"}}', 'volts_min'];
        yield 'nested unknown key' => ['{"check":"power.rotation","input":{"loads":[{"name":"a","kind":"scroll","drive":"across_line","colour":"red"}]}}', 'loads.0.colour'];
        yield 'a name used twice' => ['{"check":"power.rotation","input":{"loads":[{"name":"a","kind":"pump","drive":"ecm"},{"name":"a","kind":"pump","drive":"ecm"}]}}', 'loads.1.name'];
    }

    #[DataProvider('badLines')]
    public function testABadLineGetsAnErrorThatNamesTheField(string $line, string $field): void
    {
        $answer = json_decode($this->judge()->answer($line), true);
        self::assertSame($field, $answer['error']['field'] ?? null);
        self::assertNotSame('', $answer['error']['accepted']);
        self::assertNotSame('', $answer['error']['message']);
        self::assertArrayNotHasKey('status', $answer);
    }

    public function testTheIdIsEchoedWhateverItIs(): void
    {
        foreach (['null', '"a"', '{"x":[1,2]}', '3.5'] as $id) {
            $answer = $this->judge()->answer("{\"id\":$id,\"check\":\"power.voltage\"}");
            self::assertStringContainsString("\"id\":$id", $answer);
        }
    }

    public function testAbsentInputMeansNothingWasRead(): void
    {
        $answer = json_decode($this->judge()->answer('{"check":"power.voltage"}'), true);
        self::assertSame('open', $answer['status']);
        self::assertSame(['missing:volts_ab', 'missing:volts_bc', 'missing:volts_ca', 'missing:plate_voltage'], $answer['codes']);
    }

    private function judge(): LineJudge
    {
        return new LineJudge(Core::judge());
    }
}
