<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * The key of a write stands once a company, whatever device it came from, with the print of all it came with. Keys of
 * before bear their print in their answer. A link that lets somebody in can be withdrawn. What is written once is not
 * emptied either, and a version of a sheet is written once.
 */
return new class () extends Migration {
    private const WRITTEN_ONCE = ['sign_ins', 'office_log', 'sheet_versions'];

    public function up(): void
    {
        DB::statement('ALTER TABLE idempotency_keys ADD COLUMN print char(64) NOT NULL DEFAULT \'\'');
        DB::statement('DELETE FROM idempotency_keys k USING idempotency_keys o WHERE o.company_id = k.company_id AND o.key = k.key AND o.ctid > k.ctid');
        DB::statement('ALTER TABLE idempotency_keys DROP CONSTRAINT idempotency_keys_pkey, DROP COLUMN device_id, ADD PRIMARY KEY (company_id, key)');
        DB::statement('ALTER TABLE invitations ADD COLUMN withdrawn_at timestamptz(0)');
        DB::statement('CREATE TRIGGER sheet_versions_once BEFORE UPDATE OR DELETE ON sheet_versions FOR EACH ROW EXECUTE FUNCTION refuse_change()');
        foreach (self::WRITTEN_ONCE as $table) {
            DB::statement("CREATE TRIGGER {$table}_kept BEFORE TRUNCATE ON $table FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()");
        }
    }

    public function down(): void
    {
        DB::statement('DROP TRIGGER sheet_versions_once ON sheet_versions');
        foreach (self::WRITTEN_ONCE as $table) {
            DB::statement("DROP TRIGGER {$table}_kept ON $table");
        }
        DB::statement('ALTER TABLE invitations DROP COLUMN withdrawn_at');
        DB::statement('ALTER TABLE idempotency_keys DROP CONSTRAINT idempotency_keys_pkey, ADD COLUMN device_id varchar(64) NOT NULL DEFAULT \'\', DROP COLUMN print, ADD PRIMARY KEY (company_id, device_id, key)');
    }
};
