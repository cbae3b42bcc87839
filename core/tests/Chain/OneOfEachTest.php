<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Chain;

use IronStart\Core\Chain\OneOfEach;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Members that stand twice are found, wherever and however they are written. */
final class OneOfEachTest extends TestCase
{
    /** @return iterable<string, array{string, string|null}> */
    public static function texts(): iterable
    {
        yield 'none' => ['{"a": 1, "b": {"a": 2}, "c": [{"a": 1}, {"a": 2}]}', null];
        yield 'at the top' => ['{"a": 1, "b": 2, "a": 3}', 'a'];
        yield 'inside' => ['{"a": {"b": 1, "c": [], "b": 2}}', 'b'];
        yield 'within a list' => ['[{"a": 1}, {"b": 1, "b": 1}]', 'b'];
        yield 'after an object of its own' => ['{"a": {"x": 1}, "b": [1, {"x": 2}], "a": 0}', 'a'];
        yield 'by another spelling' => ['{"a": 1, "\u0061": 2}', 'a'];
        yield 'with escapes' => ['{"q\\"\\\\": 1, "q\\"\\\\": 2}', 'q"\\'];
        yield 'a value that looks like a name' => ['{"a": "b", "b": "a", "c": "{\\"a\\": 1, \\"a\\": 2}"}', null];
        yield 'names that are numbers' => ['{"1": 1, "01": 2, "1.0": 3}', null];
        yield 'the empty name' => ['{"": 1, "": 2}', ''];
        yield 'no object' => ['[1, "a", "a", true, null, -1.5e3]', null];
        yield 'a lone value' => ['"a"', null];
    }

    #[DataProvider('texts')]
    public function testTheFirstIsNamed(string $json, ?string $name): void
    {
        json_decode($json);
        self::assertSame(JSON_ERROR_NONE, json_last_error(), $json);
        self::assertSame($name, OneOfEach::twice($json));
    }
}
