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
        yield 'thousands are parted' => [Said::kva(12345.0), 'us', '12,345 kVA'];
    }

    /** @param 'us'|'si' $units */
    #[DataProvider('said')]
    public function testAFigureIsSaidAsATechnicianWould(Said $said, string $units, string $text): void
    {
        self::assertSame($text, (new Formatter())->say($said, $units));
    }
}
