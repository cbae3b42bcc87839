<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How each machine stood when its gates were judged last: worked out of the tape, and worked out anew when that goes on. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::create('glances', function (Blueprint $table): void {
            $table->foreignId('company_id')->constrained();
            $table->foreignId('machine_id')->constrained();
            $table->char('of', 32);
            $table->jsonb('body');
            $table->primary(['company_id', 'machine_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('glances');
    }
};
