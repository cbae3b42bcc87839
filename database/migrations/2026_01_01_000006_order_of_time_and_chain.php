<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Where an entry stands in time, what else it says, and the chain that shows whether any of it was changed.
 */
return new class () extends Migration {
    public function up(): void
    {
        Schema::table('entries', function (Blueprint $table): void {
            $table->timestampTz('placed_at', 3)->nullable();
            $table->bigInteger('correction_ms')->default(0);
            $table->integer('about')->nullable();
            $table->jsonb('details')->default('{}');
        });
        $this->withoutGuard(fn () => DB::statement('UPDATE entries SET placed_at = recorded_at'));
        Schema::table('entries', fn (Blueprint $table) => $table->timestampTz('placed_at', 3)->nullable(false)->change());
        DB::statement('CREATE INDEX entries_place ON entries (company_id, machine_id, placed_at, at)');
        DB::statement('CREATE INDEX entries_clocks ON entries (company_id, kind) WHERE kind IN (\'clock_started\', \'clock_stopped\')');
        Schema::table('machines', function (Blueprint $table): void {
            $table->uuid('record_id')->default(DB::raw('gen_random_uuid()'));
            $table->integer('chained_at')->default(0);
            $table->string('digest', 64)->default('');
        });
        Schema::table('instruments', fn (Blueprint $table) => $table->string('accuracy', 60)->default(''));
        Schema::create('chain_links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->foreignId('machine_id')->constrained();
            $table->foreignId('entry_id')->constrained();
            $table->integer('at');
            $table->text('document');
            $table->string('digest', 64);
            $table->string('signature', 128)->default('');
            $table->unique(['company_id', 'machine_id', 'at']);
        });
        // What the benchmarks insert to measure against; nothing else reads or writes it.
        Schema::create('floor_rows', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->foreignId('machine_id')->constrained();
            $table->timestampTz('created_at', 3);
        });
        // The reads of a tape join a dozen tables in the order they are written in: to try the other orders takes the
        // planner longer than the reading.
        DB::statement('DO $$ BEGIN EXECUTE format(\'ALTER DATABASE %I SET join_collapse_limit = 1\', current_database()); END $$');
        DB::statement('CREATE TRIGGER chain_links_once BEFORE UPDATE OR DELETE ON chain_links FOR EACH ROW EXECUTE FUNCTION refuse_change()');
        DB::statement('CREATE TRIGGER chain_links_kept BEFORE TRUNCATE ON chain_links FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()');
    }

    public function down(): void
    {
        Schema::dropIfExists('floor_rows');
        Schema::dropIfExists('chain_links');
        Schema::table('instruments', fn (Blueprint $table) => $table->dropColumn('accuracy'));
        Schema::table('machines', fn (Blueprint $table) => $table->dropColumn(['record_id', 'chained_at', 'digest']));
        Schema::table('entries', fn (Blueprint $table) => $table->dropColumn(['placed_at', 'correction_ms', 'about', 'details']));
    }

    /** The rows' words stay as they are; only the new column is filled. */
    private function withoutGuard(Closure $fill): void
    {
        DB::statement('ALTER TABLE entries DISABLE TRIGGER entries_once');
        $fill();
        DB::statement('ALTER TABLE entries ENABLE TRIGGER entries_once');
    }
};
