<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What is left out on purpose: why, whose it is from now on, and until when. Written once like the rest of the tape. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::create('put_backs_left', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->foreignId('machine_id')->constrained();
            $table->foreignId('entry_id')->constrained();
            $table->integer('at');
            $table->foreignId('put_back_id')->constrained();
            $table->string('reason', 500);
            $table->string('owner', 120);
            $table->date('due');
            $table->unique(['company_id', 'machine_id', 'at']);
            $table->index(['company_id', 'put_back_id']);
        });
        DB::statement('CREATE TRIGGER put_backs_left_once BEFORE UPDATE OR DELETE ON put_backs_left FOR EACH ROW EXECUTE FUNCTION refuse_change()');
        DB::statement('CREATE TRIGGER put_backs_left_kept BEFORE TRUNCATE ON put_backs_left FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()');
    }

    public function down(): void
    {
        Schema::dropIfExists('put_backs_left');
    }
};
