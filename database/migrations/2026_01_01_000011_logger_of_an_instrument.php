<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How an instrument's own files are read is remembered with it. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::table('instruments', fn (Blueprint $table) => $table->jsonb('logger')->nullable());
    }

    public function down(): void
    {
        Schema::table('instruments', fn (Blueprint $table) => $table->dropColumn('logger'));
    }
};
