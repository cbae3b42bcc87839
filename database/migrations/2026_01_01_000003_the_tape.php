<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What was recorded on a machine, in its own order. Rows are written once: the database itself refuses to
 * change or remove them.
 */
return new class () extends Migration {
    private const APPEND_ONLY = ['entries', 'verdicts', 'readings', 'start_presses', 'put_backs', 'put_back_closings', 'suspect_marks', 'notes'];

    public function up(): void
    {
        Schema::create('entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->foreignId('machine_id')->constrained();
            $table->integer('at');
            $table->string('kind', 16);
            $table->foreignId('user_id')->constrained();
            $table->string('device_id', 64)->default('');
            $table->timestampTz('device_at', 3);
            $table->timestampTz('recorded_at', 3);
            $table->integer('supersedes')->nullable();
            $table->jsonb('out_of_order')->default('[]');
            $table->string('reason', 500)->default('');
            $table->unique(['company_id', 'machine_id', 'at']);
        });
        Schema::create('verdicts', function (Blueprint $table): void {
            $table->id();
            $this->ofEntry($table);
            $table->string('check', 40);
            $table->integer('check_version');
            $table->string('subject', 120);
            $table->string('status', 8);
            $table->boolean('marginal');
            $table->jsonb('codes');
            $table->string('units', 2);
            $table->jsonb('input');
            $table->jsonb('findings');
            $table->jsonb('said');
            $table->unique(['company_id', 'machine_id', 'at']);
        });
        Schema::create('readings', function (Blueprint $table): void {
            $table->bigInteger('id', true, true);
            $this->ofEntry($table);
            $table->timestampTz('recorded_at', 3);
            $table->timestampTz('device_at', 3);
            $table->foreignId('user_id')->constrained();
            $table->foreignId('instrument_id')->nullable()->constrained();
            $table->string('check', 40);
            $table->string('path', 160);
            $table->string('kind', 30);
            $table->double('value_read');
            $table->string('unit_read', 16);
            $table->double('value');
            $table->string('unit', 16);
        });
        // recorded_at stands in the key from the start, so that the table can be parted by month.
        DB::statement('ALTER TABLE readings DROP CONSTRAINT IF EXISTS readings_pkey');
        DB::statement('ALTER TABLE readings ADD PRIMARY KEY (company_id, recorded_at, id)');
        DB::statement('CREATE INDEX readings_machine ON readings (company_id, machine_id, at)');
        Schema::create('start_presses', function (Blueprint $table): void {
            $table->id();
            $this->ofEntry($table);
            $table->unique(['company_id', 'machine_id', 'at']);
        });
        Schema::create('put_backs', function (Blueprint $table): void {
            $table->id();
            $this->ofEntry($table);
            $table->string('kind', 24);
            $table->string('what', 240);
            $table->jsonb('shuts');
            $table->integer('limit_minutes')->nullable();
            $table->foreignId('holder_id')->constrained('users');
            $table->index(['company_id', 'machine_id']);
        });
        Schema::create('put_back_closings', function (Blueprint $table): void {
            $table->id();
            $this->ofEntry($table);
            $table->foreignId('put_back_id')->constrained();
            $table->string('word', 500);
            $table->unique(['company_id', 'put_back_id']);
        });
        Schema::create('suspect_marks', function (Blueprint $table): void {
            $table->id();
            $this->ofEntry($table);
            $table->integer('target_at');
            $table->string('reason', 500);
            $table->unique(['company_id', 'machine_id', 'target_at']);
        });
        Schema::create('notes', function (Blueprint $table): void {
            $table->id();
            $this->ofEntry($table);
            $table->smallInteger('gate')->nullable();
            $table->string('text', 2000);
            $table->index(['company_id', 'machine_id']);
        });
        Schema::create('idempotency_keys', function (Blueprint $table): void {
            $table->foreignId('company_id');
            $table->string('device_id', 64);
            $table->string('key', 64);
            $table->smallInteger('status');
            $table->jsonb('answer');
            $table->timestampTz('created_at');
            $table->primary(['company_id', 'device_id', 'key']);
        });
        $this->guard();
    }

    public function down(): void
    {
        array_map(Schema::dropIfExists(...), ['idempotency_keys', ...array_reverse(self::APPEND_ONLY)]);
        DB::statement('DROP FUNCTION IF EXISTS refuse_change()');
    }

    private function ofEntry(Blueprint $table): void
    {
        $table->foreignId('company_id')->constrained();
        $table->foreignId('machine_id')->constrained();
        $table->foreignId('entry_id')->constrained();
        $table->integer('at');
    }

    private function guard(): void
    {
        DB::statement(<<<'SQL'
            CREATE OR REPLACE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
            BEGIN
                RAISE EXCEPTION 'Rows of % are written once: correct by a new entry.', TG_TABLE_NAME
                    USING ERRCODE = 'restrict_violation';
            END $$
            SQL);
        foreach (self::APPEND_ONLY as $table) {
            DB::statement("CREATE TRIGGER {$table}_once BEFORE UPDATE OR DELETE ON $table FOR EACH ROW EXECUTE FUNCTION refuse_change()");
            DB::statement("CREATE TRIGGER {$table}_kept BEFORE TRUNCATE ON $table FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()");
        }
    }
};
