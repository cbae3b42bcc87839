<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A gate that a lead opened against a stop, with the reason. Written once like the rest of the tape. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::create('overrides', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->foreignId('machine_id')->constrained();
            $table->foreignId('entry_id')->constrained();
            $table->integer('at');
            $table->smallInteger('gate');
            $table->string('role', 12);
            $table->string('reason', 500);
            $table->unique(['company_id', 'machine_id', 'at']);
        });
        DB::statement('CREATE TRIGGER overrides_once BEFORE UPDATE OR DELETE ON overrides FOR EACH ROW EXECUTE FUNCTION refuse_change()');
        DB::statement('CREATE TRIGGER overrides_kept BEFORE TRUNCATE ON overrides FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()');
    }

    public function down(): void
    {
        Schema::dropIfExists('overrides');
    }
};
