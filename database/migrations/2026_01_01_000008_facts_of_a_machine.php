<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Facts that differ from unit to unit are kept on the machine: yes, no, or nothing said. What the job said of them is
 * copied to its machines once; the job keeps its word, which no longer counts for them.
 */
return new class () extends Migration {
    private const OF_THE_MACHINE = ['tripped', 'belt', 'float', 'gas_heat', 'curb', 'ran_reversed', 'motor_taps', 'heat_pump', 'outside_air'];

    public function up(): void
    {
        Schema::table('machines', function (Blueprint $table): void {
            $table->jsonb('facts')->default('{}');
        });
        $list = "'" . implode("', '", self::OF_THE_MACHINE) . "'";
        DB::statement(<<<SQL
            UPDATE machines SET facts = told.facts
            FROM (
                SELECT site_jobs.id, jsonb_object_agg(fact, true) AS facts
                FROM site_jobs CROSS JOIN LATERAL jsonb_array_elements_text(site_jobs.facts) AS fact
                WHERE fact IN ($list) GROUP BY site_jobs.id
            ) AS told
            WHERE told.id = machines.site_job_id
            SQL);
    }

    public function down(): void
    {
        Schema::table('machines', fn (Blueprint $table) => $table->dropColumn('facts'));
    }
};
