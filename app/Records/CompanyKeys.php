<?php

declare(strict_types=1);

namespace App\Records;

use IronStart\Core\Chain\Seal;

/** The Ed25519 key (RFC 8032) each company vouches for its records with: made once, kept in a file, never in the database. */
final class CompanyKeys
{
    /** @var array<int, Seal> */
    private array $read = [];

    public function __construct(private readonly string $folder)
    {
    }

    /** @throws \RuntimeException when the key can neither be read nor made */
    public function of(int $companyId): Seal
    {
        return $this->read[$companyId] ??= new Seal($this->secret("$this->folder/company-$companyId.key"));
    }

    private function secret(string $path): string
    {
        if (! is_file($path)) {
            $this->make($path);
        }
        $secret = base64_decode((string) file_get_contents($path), true);
        if ($secret === false || strlen($secret) !== SODIUM_CRYPTO_SIGN_SECRETKEYBYTES) {
            throw new \RuntimeException("The key in $path is damaged: put it back from the backup.");
        }

        return $secret;
    }

    /** Two that make it at the same moment end with the same one: the first that is in place stays. */
    private function make(string $path): void
    {
        if (! is_dir($this->folder) && ! @mkdir($this->folder, 0700, true) && ! is_dir($this->folder)) {
            throw new \RuntimeException("The folder of the keys, $this->folder, could not be made.");
        }
        $draft = (string) tempnam($this->folder, 'new');
        chmod($draft, 0600);
        $written = file_put_contents($draft, base64_encode(sodium_crypto_sign_secretkey(sodium_crypto_sign_keypair())));
        if ($written === false || (! @link($draft, $path) && ! is_file($path))) {
            @unlink($draft);
            throw new \RuntimeException("The key $path could not be written.");
        }
        unlink($draft);
    }
}
