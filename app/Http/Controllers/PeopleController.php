<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\People;
use App\Http\Sessions\SignIn;
use App\Models\User;
use App\Queries\PeopleList;
use App\Refusals\Refusal;
use App\Support\Courier;
use App\Support\Role;
use App\Support\Token;
use App\Views\InvitationView;
use App\Views\LinkView;
use App\Views\PeopleView;
use App\Views\ProblemView;
use App\Views\SessionView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** Who belongs to the company. Links are handed over by whoever made them: no mail is needed. */
#[OA\Parameter(parameter: 'person', name: 'person', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
final class PeopleController
{
    private const NAME = 120;

    public function __construct(private readonly People $people, private readonly PeopleList $list, private readonly Courier $courier)
    {
    }

    #[OA\Get(path: '/api/v1/people', operationId: 'people', tags: ['people'], responses: [new OA\Response(response: 200, description: 'Everybody, who is invited, who signed in', content: new OA\JsonContent(ref: PeopleView::class))])]
    public function index(#[CurrentUser] User $reader): JsonResponse
    {
        return Reply::with($this->list->for($reader));
    }

    #[OA\Post(path: '/api/v1/people', operationId: 'invite', tags: ['people'], parameters: [new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['name', 'email', 'role'], properties: [new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'email', type: 'string'), new OA\Property(property: 'role', type: 'string')])), responses: [new OA\Response(response: 201, description: 'The link to hand over', content: new OA\JsonContent(ref: LinkView::class))])]
    public function invite(Request $request, #[CurrentUser] User $by): JsonResponse
    {
        $email = Body::text($request, 'email', 255);
        $token = $this->people->invite($by, Body::text($request, 'name', self::NAME), $email, self::role($request));

        return $this->link($request, $token, $email, "$by->name invites you to Iron Start");
    }

    #[OA\Post(path: '/api/v1/people/{person}/reset', operationId: 'resetLink', tags: ['people'], parameters: [new OA\Parameter(ref: '#/components/parameters/person'), new OA\Parameter(ref: '#/components/parameters/key')], responses: [new OA\Response(response: 201, description: 'The link to hand over', content: new OA\JsonContent(ref: LinkView::class))])]
    public function reset(Request $request, User $person, #[CurrentUser] User $by): JsonResponse
    {
        return $this->link($request, $this->people->resetLink($by, $person), $person->email, 'A new password for Iron Start');
    }

    #[OA\Post(path: '/api/v1/people/{person}/role', operationId: 'changeRole', tags: ['people'], parameters: [new OA\Parameter(ref: '#/components/parameters/person'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['role'], properties: [new OA\Property(property: 'role', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Changed', content: new OA\JsonContent(ref: PeopleView::class)), new OA\Response(response: 409, description: 'No lead would remain', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function changeRole(Request $request, User $person, #[CurrentUser] User $by): JsonResponse
    {
        $this->people->changeRole($by, $person, self::role($request));

        return Reply::with($this->list->for($by), 201);
    }

    #[OA\Post(path: '/api/v1/people/{person}/active', operationId: 'setActive', tags: ['people'], parameters: [new OA\Parameter(ref: '#/components/parameters/person'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['active'], properties: [new OA\Property(property: 'active', type: 'boolean')])), responses: [new OA\Response(response: 201, description: 'Changed', content: new OA\JsonContent(ref: PeopleView::class)), new OA\Response(response: 409, description: 'No lead would remain', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function active(Request $request, User $person, #[CurrentUser] User $by): JsonResponse
    {
        $active = Body::object($request)->active ?? null;
        $this->people->setActive($by, $person, is_bool($active) ? $active : throw Refusal::field('active', $active, 'true or false'));

        return Reply::with($this->list->for($by), 201);
    }

    #[OA\Post(path: '/api/v1/people/{person}/sign-out', operationId: 'signOutEverywhere', tags: ['people'], parameters: [new OA\Parameter(ref: '#/components/parameters/person'), new OA\Parameter(ref: '#/components/parameters/key')], responses: [new OA\Response(response: 201, description: 'Signed out everywhere', content: new OA\JsonContent(ref: PeopleView::class))])]
    public function signOut(User $person, #[CurrentUser] User $by): JsonResponse
    {
        $this->people->signOutEverywhere($by, $person);

        return Reply::with($this->list->for($by), 201);
    }

    #[OA\Post(path: '/api/v1/session/link', operationId: 'readLink', tags: ['session'], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['token'], properties: [new OA\Property(property: 'token', type: 'string')])), responses: [new OA\Response(response: 200, description: 'Who it lets in', content: new OA\JsonContent(ref: InvitationView::class)), new OA\Response(response: 410, description: 'It lets nobody in any more', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function read(Request $request): JsonResponse
    {
        $link = $this->people->read(Body::text($request, 'token', 80));

        return Reply::with(new InvitationView($link->kind, $link->name, $link->email, $link->role->value));
    }

    #[OA\Post(path: '/api/v1/session/join', operationId: 'join', tags: ['session'], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['token', 'password'], properties: [new OA\Property(property: 'token', type: 'string'), new OA\Property(property: 'password', type: 'string')])), responses: [new OA\Response(response: 200, description: 'In', content: new OA\JsonContent(ref: SessionView::class)), new OA\Response(response: 410, description: 'It lets nobody in any more', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function join(Request $request, SignIn $signIn, SessionController $session): JsonResponse
    {
        $signIn->byLink($request, $this->people->accept(Body::text($request, 'token', 80), Body::text($request, 'password', 400)));

        return $session->show($request);
    }

    private function link(Request $request, Token $token, string $email, string $subject): JsonResponse
    {
        $path = "/join/$token->text";
        $mailed = $this->courier->send($email, $subject, "This link opens once:\n\n" . $request->getSchemeAndHttpHost() . "$path\n");

        return Reply::with(new LinkView($path, $mailed), 201);
    }

    private static function role(Request $request): Role
    {
        $role = Body::text($request, 'role', 12);

        return Role::tryFrom($role) ?? throw Refusal::field('role', $role, implode(', ', array_map(fn (Role $r): string => $r->value, Role::cases())));
    }
}
