<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\People;
use App\Http\Bodies\Body;
use App\Http\Bodies\Writes;
use App\Http\Sessions\SignIn;
use App\Models\Invitation;
use App\Models\User;
use App\Queries\PeopleList;
use App\Refusals\Refusal;
use App\Support\Courier;
use App\Support\Role;
use App\Support\Token;
use App\Views\InvitationView;
use App\Views\LinkView;
use App\Views\PeopleView;
use App\Views\SessionView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** Who belongs to the company. Links are handed over by whoever made them: no mail is needed. */
#[OA\Parameter(parameter: 'person', name: 'person', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
final class PeopleController
{
    public function __construct(private readonly People $people, private readonly PeopleList $list, private readonly Courier $courier)
    {
    }

    #[OA\Get(path: '/api/v1/people', operationId: 'people', tags: ['people'], responses: [new OA\Response(response: 200, description: 'Everybody, who is invited, who signed in', content: new OA\JsonContent(ref: PeopleView::class))])]
    public function index(#[CurrentUser] User $reader): JsonResponse
    {
        return Reply::with($this->list->for($reader));
    }

    #[Writes('/api/v1/people', 'invite', 'people', 'The link to hand over', LinkView::class)]
    public function invite(Request $request, #[CurrentUser] User $by): JsonResponse
    {
        $body = Body::of($request, 'invite');
        $email = $body->text('email');
        $token = $this->people->invite($by, $body->text('name'), $email, self::role($body));

        return $this->link($request, $token, $email, "$by->name invites you to Iron Start");
    }

    #[OA\Post(path: '/api/v1/people/{person}/reset', operationId: 'resetLink', tags: ['people'], parameters: [new OA\Parameter(ref: '#/components/parameters/person'), new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(ref: '#/components/parameters/writer')], responses: [new OA\Response(response: 201, description: 'The link to hand over', content: new OA\JsonContent(ref: LinkView::class))])]
    public function reset(Request $request, User $person, #[CurrentUser] User $by): JsonResponse
    {
        return $this->link($request, $this->people->resetLink($by, $person), $person->email, 'A new password for Iron Start');
    }

    #[Writes('/api/v1/people/{person}/role', 'changeRole', 'people', 'Changed', PeopleView::class, also: [409 => 'No lead would remain'])]
    public function changeRole(Request $request, User $person, #[CurrentUser] User $by): JsonResponse
    {
        $this->people->changeRole($by, $person, self::role(Body::of($request, 'changeRole')));

        return Reply::with($this->list->for($by), 201);
    }

    #[Writes('/api/v1/people/{person}/active', 'setActive', 'people', 'Changed', PeopleView::class, also: [409 => 'No lead would remain'])]
    public function active(Request $request, User $person, #[CurrentUser] User $by): JsonResponse
    {
        $this->people->setActive($by, $person, Body::of($request, 'setActive')->flag('active'));

        return Reply::with($this->list->for($by), 201);
    }

    #[Writes('/api/v1/people/{person}/license', 'setLicense', 'people', 'Changed', PeopleView::class)]
    public function license(Request $request, User $person, #[CurrentUser] User $by): JsonResponse
    {
        $this->people->setLicense($by, $person, trim(Body::of($request, 'setLicense')->text('license')));

        return Reply::with($this->list->for($by), 201);
    }

    #[OA\Post(path: '/api/v1/people/{person}/sign-out', operationId: 'signOutEverywhere', tags: ['people'], parameters: [new OA\Parameter(ref: '#/components/parameters/person'), new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(ref: '#/components/parameters/writer')], responses: [new OA\Response(response: 201, description: 'Signed out everywhere', content: new OA\JsonContent(ref: PeopleView::class))])]
    public function signOut(User $person, #[CurrentUser] User $by): JsonResponse
    {
        $this->people->signOutEverywhere($by, $person);

        return Reply::with($this->list->for($by), 201);
    }

    #[OA\Post(path: '/api/v1/people/links/{invitation}/withdraw', operationId: 'withdrawLink', tags: ['people'], parameters: [new OA\Parameter(name: 'invitation', in: 'path', required: true, schema: new OA\Schema(type: 'integer')), new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(ref: '#/components/parameters/writer')], responses: [new OA\Response(response: 201, description: 'It lets nobody in any more', content: new OA\JsonContent(ref: PeopleView::class))])]
    public function withdraw(Invitation $invitation, #[CurrentUser] User $by): JsonResponse
    {
        $this->people->withdraw($by, $invitation);

        return Reply::with($this->list->for($by), 201);
    }

    #[Writes('/api/v1/session/link', 'readLink', 'session', 'Who it lets in', InvitationView::class, status: 200, also: [410 => 'It lets nobody in any more'], once: false)]
    public function read(Request $request): JsonResponse
    {
        $link = $this->people->read(Body::of($request, 'readLink')->text('token'));

        return Reply::with(new InvitationView($link->kind, $link->name, $link->email, $link->role->value));
    }

    #[Writes('/api/v1/session/join', 'join', 'session', 'In', SessionView::class, status: 200, also: [410 => 'It lets nobody in any more'], once: false)]
    public function join(Request $request, SignIn $signIn, SessionController $session): JsonResponse
    {
        $body = Body::of($request, 'join');
        $signIn->byLink($request, $this->people->accept($body->text('token'), $body->text('password')));

        return $session->show($request);
    }

    private function link(Request $request, Token $token, string $email, string $subject): JsonResponse
    {
        $path = "/join/$token->text";
        $mailed = $this->courier->send($email, $subject, "This link opens once:\n\n" . $request->getSchemeAndHttpHost() . "$path\n");

        return Reply::with(new LinkView($path, $mailed), 201);
    }

    private static function role(Body $body): Role
    {
        $role = $body->text('role');

        return Role::tryFrom($role) ?? throw Refusal::field('role', $role, implode(', ', array_map(fn (Role $r): string => $r->value, Role::cases())));
    }
}
