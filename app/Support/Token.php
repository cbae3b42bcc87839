<?php

declare(strict_types=1);

namespace App\Support;

/**
 * A secret in a link: the company it belongs to and 32 random bytes. Only its SHA-256 is kept, so that whoever reads
 * the database can't use it.
 */
final readonly class Token
{
    private const BYTES = 32;

    private function __construct(public int $company, public string $text)
    {
    }

    public static function fresh(int $company): self
    {
        return new self($company, "$company." . rtrim(strtr(base64_encode(random_bytes(self::BYTES)), '+/', '-_'), '='));
    }

    /** @return self|null null for a text that can't be one */
    public static function read(string $text): ?self
    {
        return preg_match('/^(\d{1,18})\.[A-Za-z0-9_-]{43}$/', $text, $parts) === 1 ? new self((int) $parts[1], $text) : null;
    }

    public function hash(): string
    {
        return hash('sha256', $this->text);
    }
}
