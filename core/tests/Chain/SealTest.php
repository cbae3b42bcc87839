<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Chain;

use IronStart\Core\Chain\Seal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Ed25519 as RFC 8032 has it, and nothing of another shape. */
final class SealTest extends TestCase
{
    /** RFC 8032, section 7.1, test 2: secret key, public key, message, signature. */
    private const SECRET = '4ccd089b28ff96da9db6c346ec114e0f5b8a319f35aba624da8cf6ed4fb8a6fb';
    private const PUBLIC = '3d4017c3e843895a92b70aa74d1b7ebc9c982ccf2ec4968cc0cd55f12af4660c';
    private const MESSAGE = "\x72";
    private const SIGNATURE = '92a009a9f0d4cab8720e820b5f642540a2b27b5416503f8fb3762223ebdb69da085ac1e43e15996e458f3613d0f11d8c387b2eaeb4302aeeb00d291612bb0c00';

    public function testItSignsAsTheStandardsExampleDoes(): void
    {
        $seal = new Seal((string) hex2bin(self::SECRET . self::PUBLIC));
        self::assertSame(self::base64(self::PUBLIC), $seal->publicKey());
        self::assertSame(self::base64(self::SIGNATURE), $seal->sign(self::MESSAGE));
        self::assertTrue(Seal::vouches($seal->publicKey(), self::MESSAGE, $seal->sign(self::MESSAGE)));
        self::assertSame(implode(' ', str_split(substr(hash('sha256', (string) hex2bin(self::PUBLIC)), 0, 16), 4)), Seal::fingerprint($seal->publicKey()));
    }

    /** @return iterable<string, array{string, string, string}> key, message, signature */
    public static function others(): iterable
    {
        [$key, $sign] = [self::base64(self::PUBLIC), self::base64(self::SIGNATURE)];
        yield 'another message' => [$key, "\x73", $sign];
        yield 'another signature' => [$key, self::MESSAGE, self::base64(substr(self::SIGNATURE, 0, -2) . '01')];
        yield 'another key' => [self::base64('d75a980182b10ab7d54bfed3c964073a0ee172f3daa62325af021a68f707511a'), self::MESSAGE, $sign];
        yield 'a key a byte short' => [self::base64(substr(self::PUBLIC, 2)), self::MESSAGE, $sign];
        yield 'a key a byte long' => [self::base64(self::PUBLIC . '00'), self::MESSAGE, $sign];
        yield 'a signature a byte short' => [$key, self::MESSAGE, self::base64(substr(self::SIGNATURE, 2))];
        yield 'a signature a byte long' => [$key, self::MESSAGE, self::base64(self::SIGNATURE . '00')];
        yield 'both of another length' => [self::base64('00'), self::MESSAGE, self::base64('00')];
        yield 'a key that is no base64' => ['*', self::MESSAGE, $sign];
        yield 'a signature that is no base64' => [$key, self::MESSAGE, '*'];
        yield 'neither is base64' => ['*', self::MESSAGE, '*'];
        yield 'nothing' => ['', self::MESSAGE, ''];
    }

    #[DataProvider('others')]
    public function testNothingElseIsVouchedFor(string $key, string $message, string $signature): void
    {
        self::assertFalse(Seal::vouches($key, $message, $signature));
    }

    public function testASecretKeyHasSixtyFourBytes(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        new Seal((string) hex2bin(self::SECRET));
    }

    private static function base64(string $hex): string
    {
        return base64_encode((string) hex2bin($hex));
    }
}
