<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Light or dark follows the device until a person chooses; light was what everybody had without choosing. */
return new class () extends Migration {
    public function up(): void
    {
        DB::statement("ALTER TABLE users ALTER COLUMN theme SET DEFAULT 'device'");
        DB::table('users')->where('theme', 'light')->update(['theme' => 'device']);
    }

    public function down(): void
    {
        DB::table('users')->where('theme', 'device')->update(['theme' => 'light']);
        DB::statement("ALTER TABLE users ALTER COLUMN theme SET DEFAULT 'light'");
    }
};
