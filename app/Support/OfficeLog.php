<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\ConnectionInterface;

/** Who changed what in the office. Written once. */
final class OfficeLog
{
    private const LENGTH = 240;

    public function __construct(private readonly ConnectionInterface $db, private readonly CurrentCompany $company)
    {
    }

    public function say(?int $person, string $what, string $about): void
    {
        $this->db->table('office_log')->insert(['company_id' => $this->company->id(), 'user_id' => $person, 'at' => now(), 'what' => $what, 'about' => mb_substr($about, 0, self::LENGTH)]);
    }
}
