<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Schema\RecordedView;
use App\Models\Entry;
use App\Models\Machine;
use App\Models\PutBack;
use App\Models\User;
use App\Queries\MachineScreen;
use Illuminate\Http\JsonResponse;

/** Answers a write with its place on the tape, and the machine as it stands now. */
final class Recorded
{
    public function __construct(private readonly MachineScreen $screen)
    {
    }

    public function reply(Machine $machine, Entry $entry, User $person): JsonResponse
    {
        $putBack = PutBack::query()->where('entry_id', $entry->id)->value('id');

        return Reply::with(new RecordedView($entry->at, is_int($putBack) ? $putBack : null, $this->screen->of($machine, $person)), 201);
    }
}
