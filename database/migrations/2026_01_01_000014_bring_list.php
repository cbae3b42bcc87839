<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What of a job's bring list is on the van, and what is home again. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::create('bring_ticks', function (Blueprint $table): void {
            $table->foreignId('company_id')->constrained();
            $table->foreignId('site_job_id')->constrained();
            $table->string('item', 160);
            $table->string('state', 8);
            $table->foreignId('user_id')->constrained();
            $table->timestampTz('at');
            $table->primary(['company_id', 'site_job_id', 'item']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('bring_ticks');
    }
};
