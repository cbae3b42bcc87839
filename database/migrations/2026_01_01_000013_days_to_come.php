<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The few verdicts that name a day are found without reading the rest. */
return new class () extends Migration {
    public function up(): void
    {
        DB::statement("CREATE INDEX verdicts_days ON verdicts (company_id, \"check\") WHERE \"check\" IN ('entry.next_look', 'entry.warranty')");
    }

    public function down(): void
    {
        DB::statement('DROP INDEX verdicts_days');
    }
};
