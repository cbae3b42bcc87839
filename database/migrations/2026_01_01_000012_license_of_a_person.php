<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The number under which a person may handle refrigerant stands beside what that person moved. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::table('users', fn (Blueprint $table) => $table->string('license', 60)->default(''));
    }

    public function down(): void
    {
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn('license'));
    }
};
