<?php

declare(strict_types=1);

use App\Queries\FeedEvents;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What happened last on each machine that may concern the others of its feed: worked out of the tape, and again where that is corrected. */
return new class () extends Migration {
    public function up(): void
    {
        Schema::create('feed_events', function (Blueprint $table): void {
            $table->foreignId('company_id')->constrained();
            $table->foreignId('machine_id')->constrained();
            $table->string('what', 40);
            $table->string('status', 8);
            $table->boolean('reversed');
            $table->boolean('lost');
            $table->string('told', 120);
            $table->timestampTz('placed_at', 3);
            $table->integer('at');
            $table->primary(['company_id', 'machine_id', 'what', 'status', 'reversed', 'lost']);
        });
        foreach (DB::table('machines')->orderBy('id')->get(['id', 'company_id']) as $machine) {
            FeedEvents::readAnew(DB::connection(), (int) $machine->company_id, (int) $machine->id);
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('feed_events');
    }
};
