<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\SignOff;
use App\Http\DeviceHeaders;
use App\Models\Machine;
use App\Models\User;
use App\Refusals\Refusal;
use App\Support\Signature;
use App\Views\ProblemView;
use App\Views\RecordedView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** Review and signatures. */
final class HandoverController
{
    private const ROLES = ['starter', 'lead'];

    public function __construct(private readonly Recorded $recorded, private readonly SignOff $action)
    {
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/reviews', operationId: 'review', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['word', 'seen'], properties: [new OA\Property(property: 'word', type: 'string'), new OA\Property(property: 'seen', type: 'integer')])), responses: [new OA\Response(response: 201, description: 'Reviewed', content: new OA\JsonContent(ref: RecordedView::class)), new OA\Response(response: 409, description: 'Something was written since', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function review(Request $request, Machine $machine, #[CurrentUser] User $person): JsonResponse
    {
        $entry = $this->action->review($machine, DeviceHeaders::stamp($request), Body::text($request, 'word', 500), self::seen($request));

        return $this->recorded->reply($machine, $entry, $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/signatures', operationId: 'sign', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['role', 'strokes', 'seen'], properties: [new OA\Property(property: 'role', type: 'string', enum: ['starter', 'lead']), new OA\Property(property: 'strokes', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')))), new OA\Property(property: 'seen', type: 'integer')])), responses: [new OA\Response(response: 201, description: 'Signed', content: new OA\JsonContent(ref: RecordedView::class)), new OA\Response(response: 409, description: 'Something is missing, was written since, or it is signed already', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function sign(Request $request, Machine $machine, #[CurrentUser] User $person): JsonResponse
    {
        $role = Body::text($request, 'role', 12);
        if (! in_array($role, self::ROLES, true)) {
            throw Refusal::field('role', $role, implode(', ', self::ROLES));
        }
        if (! $person->role->may("sign_$role")) {
            throw Refusal::notYours();
        }
        $drawn = Signature::of(Body::members($request)['strokes'] ?? null);

        return $this->recorded->reply($machine, $this->action->sign($machine->loadMissing('job', 'sheet'), DeviceHeaders::stamp($request), $role, $drawn, self::seen($request)), $person);
    }

    private static function seen(Request $request): int
    {
        return Body::whole(Body::object($request), 'seen', 0, PHP_INT_MAX) ?? throw Refusal::field('seen', null, 'the last place on the tape that was read');
    }
}
