<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The board of the day as each person saw it last: shown again as long as nothing in it has changed. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::create('kept_boards', function (Blueprint $table): void {
            $table->foreignId('company_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->char('of', 32);
            $table->text('body');
            $table->primary(['company_id', 'user_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('kept_boards');
    }
};
