<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Company;
use App\Models\Machine;
use App\Records\AsChained;
use App\Support\CurrentCompany;
use Illuminate\Console\Command;
use Illuminate\Database\ConnectionInterface;

/** Whether an instance is whole: its tables, what guards them, its settings, and the chain of every machine. */
final class CheckInstance extends Command
{
    /** Written once, each with the two triggers that keep it so. */
    private const WRITTEN_ONCE = ['entries', 'verdicts', 'readings', 'start_presses', 'put_backs', 'put_back_closings', 'put_backs_left', 'suspect_marks', 'notes', 'overrides', 'chain_links', 'sign_ins', 'office_log', 'sheet_versions'];
    private const OTHERS = ['companies', 'users', 'sites', 'site_jobs', 'job_people', 'machines', 'sheets', 'instruments', 'invitations', 'owner_links', 'idempotency_keys', 'sessions', 'cache', 'migrations'];

    protected $signature = 'instance:check';

    protected $description = 'Says whether the tables, their guards and the chain of every machine are whole';

    public function handle(ConnectionInterface $db, CurrentCompany $company, AsChained $chained): int
    {
        $faults = [...self::tables($db), ...self::guards($db), ...self::settings($db)];
        $machines = 0;
        foreach ($faults === [] ? Company::query()->orderBy('id')->get() : [] as $one) {
            $company->as($one->id, function () use ($chained, &$faults, &$machines): void {
                Machine::query()->orderBy('id')->each(function (Machine $machine) use ($chained, &$faults, &$machines): void {
                    $machines++;
                    foreach ($machine->chained_at < $machine->last_at ? [] : $chained->faults($machine) as $fault) {
                        $faults[] = "$machine->name (record $machine->record_id): $fault";
                    }
                });
            });
        }
        array_map($this->error(...), $faults);
        $this->line($faults === [] ? "whole: $machines machines, each as it was written" : count($faults) . ' faults');

        return $faults === [] ? self::SUCCESS : self::FAILURE;
    }

    /** @return list<string> */
    private static function tables(ConnectionInterface $db): array
    {
        $there = array_column($db->select("SELECT tablename FROM pg_tables WHERE schemaname = 'public'"), 'tablename');

        return array_values(array_map(fn (string $t): string => "the table $t is missing", array_diff([...self::WRITTEN_ONCE, ...self::OTHERS], $there)));
    }

    /** @return list<string> */
    private static function guards(ConnectionInterface $db): array
    {
        $on = array_column($db->select("SELECT t.tgname FROM pg_trigger t JOIN pg_proc p ON p.oid = t.tgfoid WHERE p.proname = 'refuse_change' AND t.tgenabled = 'O'"), 'tgname');
        $wanted = array_merge([], ...array_map(fn (string $t): array => ["{$t}_once", "{$t}_kept"], self::WRITTEN_ONCE));
        $faults = array_map(fn (string $t): string => "the guard $t is missing or switched off", array_diff($wanted, $on));
        foreach ($db->select('SELECT c.relname FROM pg_index i JOIN pg_class c ON c.oid = i.indexrelid WHERE NOT i.indisvalid') as $index) {
            $faults[] = "the index $index->relname is not whole";
        }
        foreach (array_diff([...self::WRITTEN_ONCE, 'machines', 'users'], array_column($db->select("SELECT DISTINCT tablename FROM pg_indexes WHERE schemaname = 'public'"), 'tablename')) as $table) {
            $faults[] = "the indexes of $table are missing";
        }

        return array_values($faults);
    }

    /** @return list<string> */
    private static function settings(ConnectionInterface $db): array
    {
        $set = (string) $db->scalar("SELECT array_to_string(setconfig, ' ') FROM pg_db_role_setting s JOIN pg_database d ON d.oid = s.setdatabase WHERE d.datname = current_database() AND s.setrole = 0");

        return str_contains($set, 'join_collapse_limit=1') ? [] : ['the settings of the database are missing'];
    }
}
