<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Sessions\SignIn;
use App\Models\User;
use App\Refusals\Refusal;
use App\Views\DemoPerson;
use App\Views\PersonView;
use App\Views\SessionView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

#[OA\Tag(name: 'session')]
final class SessionController
{
    private const CHOICES = ['units' => ['us', 'si'], 'theme' => ['device', 'light', 'dark']];

    public function __construct(private readonly SignIn $signIn)
    {
    }

    #[OA\Get(path: '/api/v1/session', operationId: 'session', tags: ['session'], responses: [new OA\Response(response: 200, description: 'Who is signed in', content: new OA\JsonContent(ref: SessionView::class))])]
    public function show(Request $request): JsonResponse
    {
        $person = $request->user();
        if ($person instanceof User && SignIn::isOver($request, $person)) {
            $this->signIn->out($request);
            $person = null;
        }

        return Reply::with($this->view($person instanceof User ? $person : null));
    }

    #[OA\Post(path: '/api/v1/session', operationId: 'signIn', tags: ['session'], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['email', 'password'], properties: [new OA\Property(property: 'email', type: 'string'), new OA\Property(property: 'password', type: 'string')])), responses: [new OA\Response(response: 200, description: 'Signed in', content: new OA\JsonContent(ref: SessionView::class)), new OA\Response(response: 422, description: 'Not right', content: new OA\JsonContent(ref: \App\Views\ProblemView::class))])]
    public function store(Request $request): JsonResponse
    {
        $person = $this->signIn->withPassword($request, Body::text($request, 'email', 255), Body::text($request, 'password', 255));

        return Reply::with($this->view($person));
    }

    #[OA\Post(path: '/api/v1/session/demo', operationId: 'signInToDemo', tags: ['session'], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['name'], properties: [new OA\Property(property: 'name', type: 'string')])), responses: [new OA\Response(response: 200, description: 'Signed in', content: new OA\JsonContent(ref: SessionView::class))])]
    public function demo(Request $request): JsonResponse
    {
        return Reply::with($this->view($this->signIn->toDemo($request, Body::text($request, 'name', 120))));
    }

    #[OA\Delete(path: '/api/v1/session', operationId: 'signOut', tags: ['session'], responses: [new OA\Response(response: 204, description: 'Signed out')])]
    public function destroy(Request $request): Response
    {
        $this->signIn->out($request);

        return new Response('', 204);
    }

    #[OA\Patch(path: '/api/v1/me', operationId: 'prefer', tags: ['session'], requestBody: new OA\RequestBody(content: new OA\JsonContent(properties: [new OA\Property(property: 'units', type: 'string'), new OA\Property(property: 'theme', type: 'string'), new OA\Property(property: 'fieldUnits', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))])), responses: [new OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: SessionView::class))])]
    public function prefer(Request $request): JsonResponse
    {
        /** @var User $person */
        $person = $request->user();
        $body = Body::members($request);
        foreach (self::CHOICES as $name => $accepted) {
            if (isset($body[$name])) {
                if (! in_array($body[$name], $accepted, true)) {
                    throw Refusal::field($name, $body[$name], implode(', ', $accepted));
                }
                $person->setAttribute($name, $body[$name]);
            }
        }
        if (isset($body['fieldUnits'])) {
            $person->field_units = Body::unitsByKind($body['fieldUnits']);
        }
        $person->save();

        return Reply::with($this->view($person));
    }

    private function view(?User $person): SessionView
    {
        $demo = array_map(fn (User $u): DemoPerson => new DemoPerson($u->name, $u->role->value), $this->signIn->demoPeople());
        if ($person === null) {
            return new SessionView(null, '', $demo);
        }
        $person->loadMissing('company');

        return new SessionView(
            new PersonView($person->id, $person->name, $person->role->value, $person->units, $person->theme, (object) $person->field_units, $person->role->rights()),
            $person->company->name,
            $demo,
        );
    }
}
