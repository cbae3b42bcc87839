<?php

declare(strict_types=1);

namespace App\Records;

use Illuminate\Database\ConnectionInterface;

/**
 * What the role the application runs under may do in the database: read all of it, write what changes, and only add
 * to what is written once. It owns nothing, so it can't switch off what refuses changes. Whoever owns the tables gives
 * it these rights after every migration.
 */
final class Grants
{
    /** Tables with the trigger that refuses changes are written once. */
    private const WRITTEN_ONCE = <<<'SQL'
        SELECT DISTINCT c.relname FROM pg_trigger t JOIN pg_class c ON c.oid = t.tgrelid JOIN pg_proc p ON p.oid = t.tgfoid
        WHERE p.proname = 'refuse_change' AND NOT t.tgisinternal
        SQL;

    public function __construct(private readonly ConnectionInterface $db, private readonly string $role)
    {
    }

    /** Where there is no such role the application runs as the owner. */
    public function give(): void
    {
        // A setting of the database is in no dump of it: it is made again wherever one is put back.
        $this->db->statement("DO $$ BEGIN EXECUTE format('ALTER DATABASE %I SET join_collapse_limit = 1', current_database()); END $$");
        if ($this->db->scalar('SELECT count(*) FROM pg_roles WHERE rolname = ?', [$this->role]) === 0) {
            return;
        }
        $to = '"' . str_replace('"', '""', $this->role) . '"';
        $statements = [
            'REVOKE CREATE ON SCHEMA public FROM PUBLIC',
            "REVOKE ALL ON ALL TABLES IN SCHEMA public FROM $to",
            "GRANT USAGE ON SCHEMA public TO $to",
            "GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA public TO $to",
            "GRANT USAGE, SELECT ON ALL SEQUENCES IN SCHEMA public TO $to",
            "REVOKE INSERT, UPDATE, DELETE ON migrations FROM $to",
        ];
        foreach ($this->db->select(self::WRITTEN_ONCE) as $table) {
            $statements[] = "REVOKE UPDATE, DELETE ON \"{$table->relname}\" FROM $to";
        }
        array_walk($statements, fn (string $statement) => $this->db->statement($statement));
    }
}
