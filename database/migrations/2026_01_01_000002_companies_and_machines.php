<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Who works, where, and on what. Every table carries company_id and leads its indexes with it, so that the
 * schema can be spread by company.
 */
return new class () extends Migration {
    public function up(): void
    {
        Schema::create('companies', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->string('units', 2)->default('us');
            $table->string('time_zone', 40)->default('UTC');
            $table->boolean('is_demo')->default(false);
            $table->timestampsTz();
        });
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->string('name', 120);
            $table->string('email')->unique();
            $table->string('password');
            $table->string('role', 12);
            $table->string('units', 2)->default('us');
            $table->string('theme', 8)->default('light');
            $table->jsonb('field_units')->default('{}');
            $table->rememberToken();
            $table->timestampsTz();
            $table->index(['company_id', 'name']);
        });
        Schema::create('sites', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->string('name', 120);
            $table->string('address', 240)->default('');
            $table->double('altitude_m')->default(0);
            $table->jsonb('safety')->default('{}');
            $table->timestampsTz();
            $table->index(['company_id', 'name']);
        });
        Schema::create('site_jobs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->foreignId('site_id')->constrained();
            $table->string('title', 160);
            $table->string('type', 12);
            $table->boolean('start_up_only')->default(false);
            $table->jsonb('facts')->default('[]');
            $table->jsonb('asked')->default('[]');
            $table->date('starts_on');
            $table->date('ends_on');
            $table->timestampsTz();
            $table->index(['company_id', 'starts_on', 'ends_on']);
            $table->index(['company_id', 'site_id']);
        });
        Schema::create('job_people', function (Blueprint $table): void {
            $table->foreignId('company_id')->constrained();
            $table->foreignId('site_job_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->primary(['company_id', 'site_job_id', 'user_id']);
            $table->index(['company_id', 'user_id']);
        });
        Schema::create('sheets', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->string('model', 120);
            $table->string('maker', 120)->default('');
            $table->string('kind', 20);
            $table->timestampsTz();
            $table->unique(['company_id', 'model']);
        });
        Schema::create('sheet_versions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->foreignId('sheet_id')->constrained();
            $table->integer('version');
            $table->jsonb('body');
            $table->timestampTz('created_at');
            $table->unique(['company_id', 'sheet_id', 'version']);
        });
        Schema::create('machines', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->foreignId('site_job_id')->constrained();
            $table->foreignId('sheet_version_id')->nullable()->constrained();
            $table->string('name', 60);
            $table->string('place', 120)->default('');
            $table->string('serial', 60)->default('');
            $table->string('summary', 160)->default('');
            $table->text('history')->default('');
            $table->integer('position')->default(0);
            $table->integer('last_at')->default(0);
            $table->timestampsTz();
            $table->unique(['company_id', 'site_job_id', 'name']);
        });
        Schema::create('instruments', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('company_id')->constrained();
            $table->string('name', 60);
            $table->string('kind', 40);
            $table->string('serial', 60)->default('');
            $table->date('calibration_due')->nullable();
            $table->timestampsTz();
            $table->unique(['company_id', 'name']);
        });
    }

    public function down(): void
    {
        array_map(Schema::dropIfExists(...), ['instruments', 'machines', 'sheet_versions', 'sheets', 'job_people', 'site_jobs', 'sites', 'users', 'companies']);
    }
};
