<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Wording;

use IronStart\Core\Verdict\Said;
use IronStart\Core\Wording\Formatter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FormatterTest extends TestCase
{
    /** @return iterable<string, array{Said, 'us'|'si', string}> */
    public static function said(): iterable
    {
        yield 'volts of hundreds whole' => [Said::volts(480.666), 'us', '481 V'];
        yield 'volts of tens to a tenth' => [Said::volts(24.56), 'us', '24.6 V'];
        yield 'no trailing zero' => [Said::amps(9.04), 'us', '9 A'];
        yield 'half away from zero' => [Said::percent(0.25), 'us', '0.3%'];
        yield 'never the same as the limit it is over' => [Said::percent(2.004, 2.0), 'us', '2.004%'];
        yield 'the limit itself stays plain' => [Said::percent(2.0, 2.0), 'us', '2%'];
        yield 'temperature as asked' => [Said::temperature(303.15), 'us', '86 °F'];
        yield 'the same in metric' => [Said::temperature(303.15), 'si', '30 °C'];
        yield 'nothing is nothing' => [Said::volts(0.0), 'us', '0 V'];
        yield 'a minus that rounds away is gone' => [Said::percent(-0.01), 'us', '0%'];
        yield 'a length as asked' => [Said::length(3.048), 'us', '10 ft'];
        yield 'the same length in metric' => [Said::length(3.048), 'si', '3 m'];
        yield 'seconds' => [Said::duration(12), 'us', '12 s'];
        yield 'minutes' => [Said::duration(180), 'us', '3 min'];
        yield 'hours' => [Said::duration(7200), 'us', '2 h'];
        yield 'nearly a minute' => [Said::duration(59), 'us', '59 s'];
        yield 'a minute' => [Said::duration(60), 'us', '1 min'];
        yield 'nearly an hour and a half' => [Said::duration(5340), 'us', '89 min'];
        yield 'an hour and a half' => [Said::duration(5400), 'us', '1.5 h'];
        yield 'nearly two days' => [Said::duration(172_799), 'us', '48 h'];
        yield 'two days' => [Said::duration(172_800), 'us', '2 days'];
        yield 'days' => [Said::duration(432_000), 'us', '5 days'];
        yield 'a short length in inches' => [Said::small(0.0127), 'us', '0.5 in.'];
        yield 'a short length in millimetres' => [Said::small(0.0127), 'si', '12.7 mm'];
        yield 'a length as its limit is not' => [Said::length(3.051, 3.048), 'us', '10.01 ft'];
        yield 'ounces alone' => [Said::charge(0.2), 'us', '7.1 oz'];
        yield 'just under a pound' => [Said::charge(15.9 * 0.028349523), 'us', '15.9 oz'];
        yield 'whole pounds' => [Said::charge(9 * 16 * 0.028349523), 'us', '9 lb'];
        yield 'pounds and ounces' => [Said::charge(148 * 0.028349523), 'us', '9 lb 4 oz'];
        yield 'less than nothing' => [Said::charge(-20 * 0.028349523), 'us', '-1 lb 4 oz'];
        yield 'a charge in metric' => [Said::charge(4.196), 'si', '4.2 kg'];
        yield 'the first of a range' => [Said::purge(1.4158)->bare(), 'us', '3'];
        yield 'an angle' => [Said::angle(44.96), 'us', '45°'];
        yield 'degrees apart' => [Said::temperatureDifference(1.0), 'us', '1.8 °F'];
        yield 'money' => [Said::money(31400.4), 'us', '31,400'];
        yield 'thousands are parted' => [Said::kva(12345.0), 'us', '12,345 kVA'];
    }

    /** @return iterable<string, array{float, bool, 'us'|'si', string}> */
    public static function drawn(): iterable
    {
        yield 'inches' => [84 * 0.0254, true, 'us', '84"'];
        yield 'a half' => [84.5 * 0.0254, true, 'us', '84-1/2"'];
        yield 'a quarter alone' => [0.25 * 0.0254, true, 'us', '1/4"'];
        yield 'three eighths' => [1.375 * 0.0254, true, 'us', '1-3/8"'];
        yield 'to the nearest eighth' => [1.0624 * 0.0254, true, 'us', '1"'];
        yield 'just over half an eighth' => [1.0626 * 0.0254, true, 'us', '1-1/8"'];
        yield 'short of it' => [-2.5 * 0.0254, true, 'us', '-2-1/2"'];
        yield 'nothing' => [0.0, true, 'us', '0"'];
        yield 'feet and inches' => [46.5 * 0.3048, false, 'us', '46\' 6"'];
        yield 'inches carried' => [9.99 * 0.3048, false, 'us', '10\' 0"'];
        yield 'no feet' => [0.0, false, 'us', '0"'];
        yield 'below' => [-5.75 * 0.3048, false, 'us', '-5\' 9"'];
        yield 'millimetres' => [2.1336, true, 'si', '2134'];
        yield 'metres' => [14.175, false, 'si', '14.18 m'];
    }

    /** @param 'us'|'si' $units */
    #[DataProvider('drawn')]
    public function testALengthIsDrawnAsATradespersonWrites(float $metres, bool $isSmall, string $units, string $text): void
    {
        self::assertSame($text, (new Formatter())->onDrawing($metres, $isSmall, $units));
    }

    /** @param 'us'|'si' $units */
    #[DataProvider('said')]
    public function testAFigureIsSaidAsATechnicianWould(Said $said, string $units, string $text): void
    {
        self::assertSame($text, (new Formatter())->say($said, $units));
    }
}
