<?php

declare(strict_types=1);

namespace IronStart\Core\Chain;

/**
 * A company's key: what it signs, only it can have signed.
 *
 * Source: Ed25519, RFC 8032. Keys and signatures travel as base64 (RFC 4648).
 */
final readonly class Seal
{
    /** @param non-empty-string $secret the 64 bytes of the secret key */
    public function __construct(#[\SensitiveParameter] private string $secret)
    {
        if (strlen($secret) !== SODIUM_CRYPTO_SIGN_SECRETKEYBYTES) {
            throw new \InvalidArgumentException('An Ed25519 secret key has 64 bytes.');
        }
    }

    /** Of the very bytes given; 64 bytes, as base64. */
    public function sign(string $bytes): string
    {
        return base64_encode(sodium_crypto_sign_detached($bytes, $this->secret));
    }

    /** The half everybody may have; 32 bytes, as base64. */
    public function publicKey(): string
    {
        return base64_encode(sodium_crypto_sign_publickey_from_secretkey($this->secret));
    }

    /** Whether the holder of the other half signed these bytes; a key or signature of the wrong shape did not. */
    public static function vouches(string $publicKey, string $bytes, string $signature): bool
    {
        $key = base64_decode($publicKey, true);
        $sign = base64_decode($signature, true);

        return $key !== false && $sign !== false
            && strlen($key) === SODIUM_CRYPTO_SIGN_PUBLICKEYBYTES && strlen($sign) === SODIUM_CRYPTO_SIGN_BYTES
            && sodium_crypto_sign_verify_detached($sign, $bytes, $key);
    }

    /** A public key short enough to read aloud: the first 16 hexadecimal characters of its SHA-256, in fours. */
    public static function fingerprint(string $publicKey): string
    {
        return implode(' ', str_split(substr(hash('sha256', (string) base64_decode($publicKey, true)), 0, 16), 4));
    }
}
