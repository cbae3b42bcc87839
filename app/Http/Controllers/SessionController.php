<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Bodies\Body;
use App\Http\Bodies\Writes;
use App\Http\Sessions\SignIn;
use App\Models\User;
use App\Refusals\Refusal;
use App\Views\DemoPerson;
use App\Views\PersonView;
use App\Views\SessionView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use OpenApi\Attributes as OA;

#[OA\Tag(name: 'session')]
final class SessionController
{
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

    #[Writes('/api/v1/session', 'signIn', 'session', 'Signed in', SessionView::class, status: 200, once: false)]
    public function store(Request $request): JsonResponse
    {
        $body = Body::of($request, 'signIn');
        $person = $this->signIn->withPassword($request, $body->text('email'), $body->text('password'));

        return Reply::with($this->view($person));
    }

    #[Writes('/api/v1/session/demo', 'signInToDemo', 'session', 'Signed in', SessionView::class, status: 200, once: false)]
    public function demo(Request $request): JsonResponse
    {
        return Reply::with($this->view($this->signIn->toDemo($request, Body::of($request, 'signInToDemo')->text('name'))));
    }

    #[OA\Delete(path: '/api/v1/session', operationId: 'signOut', tags: ['session'], parameters: [new OA\Parameter(ref: '#/components/parameters/writer')], responses: [new OA\Response(response: 204, description: 'Signed out')])]
    public function destroy(Request $request): Response
    {
        $this->signIn->out($request);

        return new Response('', 204);
    }

    #[OA\Patch(path: '/api/v1/me', operationId: 'prefer', tags: ['session'], parameters: [new OA\Parameter(ref: '#/components/parameters/writer')], requestBody: new OA\RequestBody(content: new OA\JsonContent(properties: [new OA\Property(property: 'units', type: 'string'), new OA\Property(property: 'theme', type: 'string'), new OA\Property(property: 'fieldUnits', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))])), responses: [new OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: SessionView::class))])]
    public function prefer(Request $request): JsonResponse
    {
        /** @var User $person */
        $person = $request->user();
        $body = Body::of($request, 'prefer');
        foreach (['units', 'theme'] as $name) {
            if ($body->has($name)) {
                $person->setAttribute($name, $body->text($name));
            }
        }
        if ($body->has('fieldUnits')) {
            $person->field_units = self::unitsByKind((array) $body->raw('fieldUnits'));
        }
        $person->save();

        return Reply::with($this->view($person));
    }

    /**
     * @param array<array-key, mixed> $given
     * @return array<string, string> unit by kind of quantity
     */
    private static function unitsByKind(array $given): array
    {
        $units = [];
        foreach ($given as $kind => $unit) {
            $known = Kind::tryFrom((string) $kind);
            if ($known === null || ! is_string($unit) || ! Units::knows($known, $unit)) {
                throw Refusal::field("fieldUnits.$kind", $unit, $known === null ? 'a kind of quantity' : implode(', ', Units::of($known)));
            }
            $units[$known->value] = $unit;
        }

        return $units;
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
