<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Check;

use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\InputReader;
use IronStart\Core\Quantity\Kind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class InputReaderTest extends TestCase
{
    /** @return iterable<string, array{Field, mixed}> */
    public static function refused(): iterable
    {
        $volts = Field::volts('x');
        foreach (['text' => 'high', 'no unit' => '481', 'bare number' => 481, 'two blanks' => '481  V', 'comma decimal' => '481,5 V', 'unit of another kind' => '481 A',
            'unknown unit' => '481 volts', 'not a number' => 'NAN V', 'infinite' => 'INF V', 'too large for a number' => '1e999 V', 'huge' => '48100 V', 'negative' => '-1 V',
            'true' => true, 'list' => [1], 'object with a text' => (object) ['value' => '481', 'unit' => 'V'], 'object with more' => (object) ['value' => 1, 'unit' => 'V', 'at' => 2],
            'infinite object' => (object) ['value' => INF, 'unit' => 'V'], 'NaN object' => (object) ['value' => NAN, 'unit' => 'V']] as $name => $value) {
            yield "volts: $name" => [$volts, $value];
        }
        yield 'zero where it is divided by' => [Field::volts('x')->positive(), '0 V'];
        yield 'word with another case' => [Field::word('x', 'abc'), 'ABC'];
        yield 'flag as a text' => [Field::flag('x'), 'true'];
        yield 'flag as a number' => [Field::flag('x'), 1];
        yield 'choice as a text' => [Field::choice('x', 1, 3), '3'];
        yield 'count with a fraction' => [Field::count('x'), 1.5];
        yield 'number with a unit' => [Field::number('x'), '1 V'];
        yield 'number that is none' => [Field::number('x'), NAN];
        yield 'text too long' => [Field::text('x', 5), 'sixsix'];
        yield 'text with a NUL' => [Field::text('x'), "a\0b"];
        yield 'count beyond what is kept' => [Field::count('x'), 2_147_483_648];
        yield 'count far beyond' => [Field::count('x'), 1e30];
        yield 'text that is no text' => [Field::text('x'), 5];
        yield 'items that are no list' => [Field::items('x', Field::text('name')), (object) ['name' => 'a']];
        yield 'absent name' => [Field::text('x')->structural(), '  '];
    }

    public function testATextMayBeAsLongAsItsField(): void
    {
        self::assertSame('fünf!', $this->read(Field::text('x', 5), 'fünf!')->text('x'));
    }

    #[DataProvider('refused')]
    public function testABadValueIsRefusedAtItsField(Field $field, mixed $value): void
    {
        $this->expectException(InputError::class);
        try {
            $this->read($field, $value);
        } catch (InputError $error) {
            self::assertSame('x', $error->field);
            self::assertStringStartsWith('x: ', $error->getMessage());
            self::assertNotSame('', $error->accepted);
            throw $error;
        }
    }

    /** @return iterable<string, array{Field, mixed, float}> */
    public static function bounds(): iterable
    {
        yield 'the largest count' => [Field::count('x'), 2_147_483_647, 2_147_483_647.0];
        yield 'lower' => [Field::volts('x', 5, 600), '5 V', 5.0];
        yield 'upper' => [Field::volts('x', 5, 600), '600 V', 600.0];
        yield 'upper written in another unit' => [Field::quantity('x', Kind::Temperature, 'degC', -50, 85), '185 degF', 358.15];
        yield 'with sign and exponent' => [Field::volts('x'), '+4.81e2 V', 481.0];
        yield 'as an object' => [Field::volts('x'), (object) ['value' => 481, 'unit' => 'V'], 481.0];
    }

    #[DataProvider('bounds')]
    public function testBothEndsOfARangeAreInside(Field $field, mixed $value, float $canonical): void
    {
        self::assertEqualsWithDelta($canonical, $this->read($field, $value)->number('x'), 1e-9);
    }

    public function testBlankNullAndAbsentAreTheSame(): void
    {
        foreach ([null, '', '   '] as $value) {
            self::assertSame(['x'], $this->read(Field::volts('x')->needed(), $value)->missing);
        }
    }

    public function testAReadingIsKeptAsItWasRead(): void
    {
        $read = $this->read(Field::quantity('x', Kind::Length, 'm', 0, 5000), '86 ft')->readings()['x'];
        self::assertSame([86.0, 'ft'], [$read->value, $read->unit]);
        self::assertEqualsWithDelta(26.2128, $read->canonical, 1e-9);
    }

    private function read(Field $field, mixed $value): Input
    {
        return (new InputReader([$field]))->read((object) ['x' => $value], fn (): array => []);
    }
}
