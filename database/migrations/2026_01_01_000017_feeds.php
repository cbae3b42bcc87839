<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** On which feed of its site each machine hangs, and where on the tapes that was told last. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::create('feed_members', function (Blueprint $table): void {
            $table->foreignId('company_id')->constrained();
            $table->foreignId('machine_id')->constrained();
            $table->foreignId('site_id')->constrained();
            $table->string('panel', 120);
            $table->string('name', 120);
            $table->foreignId('told_machine_id')->constrained('machines');
            $table->integer('told_at');
            $table->primary(['company_id', 'machine_id']);
            $table->index(['company_id', 'site_id', 'panel']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('feed_members');
    }
};
