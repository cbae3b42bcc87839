<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Entry;
use App\Models\Machine;
use App\Models\User;
use App\Queries\MachineScreen;
use App\Views\RecordedView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Answers a write with its place on the tape, and the machine as it stands now. */
final class Recorded
{
    public function __construct(private readonly MachineScreen $screen, private readonly Request $request)
    {
    }

    public function reply(Machine $machine, Entry $entry, User $person): JsonResponse
    {
        return $this->at($machine, $entry->at, $entry->opened()?->id, $person);
    }

    /** The same again, for a write that came twice. */
    public function at(Machine $machine, int $at, ?int $putBack, User $person): JsonResponse
    {
        // RFC 7240: whoever has more to send asks for the machine once, at the end.
        $minimal = str_contains((string) $this->request->header('Prefer', ''), 'return=minimal');
        $answer = new RecordedView($at, $putBack, $minimal ? null : $this->screen->of($machine, $person));
        $reply = Reply::with($minimal ? ['at' => $at, 'putBack' => $putBack] : $answer, 201);
        $reply->original = $answer;

        return $minimal ? $reply->header('Preference-Applied', 'return=minimal') : $reply;
    }
}
