<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Chain;

use IronStart\Core\Chain\CanonicalJson;
use IronStart\Core\Chain\NotCanonical;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CanonicalJsonTest extends TestCase
{
    /** @return iterable<string, array{string, string}> by the bits of the double: RFC 8785, appendix B */
    public static function doubles(): iterable
    {
        yield 'minus zero' => ['8000000000000000', '0'];
        yield 'smallest' => ['0000000000000001', '5e-324'];
        yield 'largest' => ['7fefffffffffffff', '1.7976931348623157e+308'];
        yield 'two to the 68th' => ['4430000000000000', '295147905179352830000'];
        yield 'below 1e21' => ['444b1ae4d6e2ef4e', '999999999999999700000'];
        yield '1e21' => ['444b1ae4d6e2ef50', '1e+21'];
        yield 'below 1e-6' => ['3eb0c6f7a0b5ed8c', '9.999999999999997e-7'];
        yield '1e-6' => ['3eb0c6f7a0b5ed8d', '0.000001'];
        yield 'a third' => ['41b3de4355555555', '333333333.3333333'];
        yield 'round to even' => ['43143ff3c1cb0959', '1424953923781206.2'];
        yield 'negative' => ['becbf647612f3696', '-0.0000033333333333333333'];
    }

    #[DataProvider('doubles')]
    public function testNumbersAreWrittenAsTheStandardsTableHasThem(string $bits, string $told): void
    {
        $unpacked = unpack('E', (string) hex2bin($bits));
        self::assertIsArray($unpacked);
        self::assertSame($told, CanonicalJson::of($unpacked[1]));
    }

    public function testMembersAreSortedByTheirUtf16AndTextsEscapedAsLittleAsMayBe(): void
    {
        $given = json_decode('{"\u20ac":"Euro","\r":"CR","\ufb33":"Hebrew","1":"One","\ud83d\ude00":"Smile","\u0080":"Control","\u00f6":"o","list":[56,{"d":true,"10":null,"1":[]}],"e":{}}');
        self::assertSame(
            '{"\r":"CR","1":"One","e":{},"list":[56,{"1":[],"10":null,"d":true}],"' . "\u{80}" . '":"Control","ö":"o","€":"Euro","😀":"Smile","' . "\u{fb33}" . '":"Hebrew"}',
            CanonicalJson::of($given),
        );
        self::assertSame("\"\u{20ac}\$\\u000f\\nA'B\\\"\\\\\\\"/\u{2028}\"", CanonicalJson::of("\u{20ac}\$\u{000f}\u{000a}A'B\"\\\"/\u{2028}"));
        self::assertSame('[0.5,0.05,1.5,7,0.30000000000000004,9007199254740992,-9007199254740992]', CanonicalJson::of([0.5, 0.05, 1.5, 7.0, 0.1 + 0.2, 9_007_199_254_740_992, -9_007_199_254_740_992]));
        self::assertSame('[4.5,2e-27,1e+30,-7]', CanonicalJson::of([4.50, 2e-27, 1E30, -7]));
    }

    /** @return iterable<array{mixed}> */
    public static function impossible(): iterable
    {
        yield 'not a number' => [NAN];
        yield 'infinite' => [INF];
        yield 'too long to be exact' => [9_007_199_254_740_993];
        yield 'too far below' => [-9_007_199_254_740_993];
        yield 'broken UTF-8' => ["\xff"];
        yield 'no JSON type' => [new \DateTimeImmutable('@0')];
    }

    #[DataProvider('impossible')]
    public function testWhatHasNoFormIsRefused(mixed $value): void
    {
        $this->expectException(NotCanonical::class);
        CanonicalJson::of([$value]);
    }
}
