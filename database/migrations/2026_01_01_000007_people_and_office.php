<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Who belongs to a company and how they got in, what the office changed, what an owner may read, and search over all.
 */
return new class () extends Migration {
    private const APPEND_ONLY = ['sign_ins', 'office_log'];

    private const SEARCHED = [
        'sites' => "name || ' ' || address",
        'machines' => "name || ' ' || serial || ' ' || place || ' ' || summary",
        'sheets' => "model || ' ' || maker",
        'site_jobs' => 'title',
    ];

    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->boolean('is_active')->default(true);
            $table->integer('session_epoch')->default(0);
        });
        Schema::table('companies', fn (Blueprint $table) => $table->jsonb('defaults')->default('{}'));
        foreach (['sites', 'site_jobs', 'machines', 'companies'] as $shared) {
            Schema::table($shared, fn (Blueprint $table) => $table->integer('version')->default(1));
        }
        Schema::table('sheet_versions', fn (Blueprint $table) => $table->foreignId('user_id')->nullable()->constrained());
        Schema::create('invitations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->string('kind', 8);
            $table->string('token_hash', 64);
            $table->string('name', 120);
            $table->string('email');
            $table->string('role', 12);
            $table->foreignId('user_id')->nullable()->constrained();
            $table->foreignId('made_by')->nullable()->constrained('users');
            $table->timestampTz('made_at');
            $table->timestampTz('expires_at');
            $table->timestampTz('used_at')->nullable();
            $table->unique(['company_id', 'token_hash']);
        });
        Schema::create('sign_ins', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->timestampTz('at', 3);
            $table->string('how', 12);
            $table->boolean('ok');
            $table->string('address', 45)->default('');
            $table->string('agent', 200)->default('');
            $table->index(['company_id', 'at']);
        });
        Schema::create('owner_links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->foreignId('machine_id')->constrained();
            $table->string('token_hash', 64);
            $table->string('for_whom', 120)->default('');
            $table->foreignId('made_by')->constrained('users');
            $table->timestampTz('made_at');
            $table->timestampTz('expires_at');
            $table->timestampTz('withdrawn_at')->nullable();
            $table->foreignId('withdrawn_by')->nullable()->constrained('users');
            $table->timestampTz('opened_at')->nullable();
            $table->unique(['company_id', 'token_hash']);
            $table->index(['company_id', 'machine_id']);
        });
        Schema::create('office_log', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->foreignId('user_id')->nullable()->constrained();
            $table->timestampTz('at', 3);
            $table->string('what', 40);
            $table->string('about', 240);
            $table->index(['company_id', 'id']);
        });
        foreach (self::APPEND_ONLY as $table) {
            DB::statement("CREATE TRIGGER {$table}_once BEFORE UPDATE OR DELETE ON $table FOR EACH ROW EXECUTE FUNCTION refuse_change()");
        }
        $this->search();
    }

    public function down(): void
    {
        foreach (array_keys(self::SEARCHED) as $table) {
            Schema::table($table, fn (Blueprint $t) => $t->dropColumn('search'));
        }
        array_map(Schema::dropIfExists(...), ['office_log', 'owner_links', 'sign_ins', 'invitations']);
        Schema::table('sheet_versions', fn (Blueprint $table) => $table->dropColumn('user_id'));
        foreach (['sites', 'site_jobs', 'machines', 'companies'] as $shared) {
            Schema::table($shared, fn (Blueprint $table) => $table->dropColumn('version'));
        }
        Schema::table('companies', fn (Blueprint $table) => $table->dropColumn('defaults'));
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn(['is_active', 'session_epoch']));
    }

    /**
     * Words by their beginnings, within one company: its id leads the index as everywhere. "RTU-7" is two words. Each
     * word bears the company, so that the beginning of a common one is not looked up in every other company too.
     */
    private function search(): void
    {
        DB::statement('CREATE EXTENSION IF NOT EXISTS btree_gin');
        foreach (self::SEARCHED as $table => $words) {
            DB::statement("ALTER TABLE $table ADD COLUMN search tsvector GENERATED ALWAYS AS (to_tsvector('simple', regexp_replace(regexp_replace($words, '[^[:alnum:]]+', ' ', 'g'), '([[:alnum:]]+)', company_id || 'x\\1', 'g'))) STORED");
            DB::statement("CREATE INDEX {$table}_search ON $table USING gin (company_id, search)");
        }
        DB::statement('CREATE INDEX sites_page ON sites (company_id, name, id)');
        DB::statement('CREATE INDEX machines_job ON machines (company_id, site_job_id, position)');
        DB::statement('CREATE INDEX site_jobs_page ON site_jobs (company_id, site_id, starts_on)');
    }
};
