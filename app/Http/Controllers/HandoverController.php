<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\SignOff;
use App\Http\Bodies\Body;
use App\Http\Bodies\Writes;
use App\Http\DeviceHeaders;
use App\Models\Machine;
use App\Models\User;
use App\Refusals\Refusal;
use App\Support\Signature;
use App\Views\RecordedView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Review and signatures. */
final class HandoverController
{
    public function __construct(private readonly Recorded $recorded, private readonly SignOff $action)
    {
    }

    #[Writes('/api/v1/machines/{machine}/reviews', 'review', 'machines', 'Reviewed', RecordedView::class, also: [409 => 'Something was written since'])]
    public function review(Request $request, Machine $machine, #[CurrentUser] User $person): JsonResponse
    {
        $body = Body::of($request, 'review');
        $entry = $this->action->review($machine, DeviceHeaders::stamp($request), $body->text('word'), (int) $body->whole('seen'));

        return $this->recorded->reply($machine, $entry, $person);
    }

    #[Writes('/api/v1/machines/{machine}/signatures', 'sign', 'machines', 'Signed', RecordedView::class, also: [409 => 'Something is missing, was written since, or it is signed already'])]
    public function sign(Request $request, Machine $machine, #[CurrentUser] User $person): JsonResponse
    {
        $body = Body::of($request, 'sign');
        $role = $body->text('role');
        if (! $person->role->may("sign_$role")) {
            throw Refusal::notYours();
        }
        $drawn = Signature::of(json_decode((string) json_encode($body->raw('strokes')), true));

        return $this->recorded->reply($machine, $this->action->sign($machine->loadMissing('job', 'sheet'), DeviceHeaders::stamp($request), $role, $drawn, (int) $body->whole('seen')), $person);
    }
}
