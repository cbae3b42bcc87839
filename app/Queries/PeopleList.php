<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Invitation;
use App\Models\User;
use App\Support\Moment;
use App\Views\InvitedView;
use App\Views\MemberView;
use App\Views\PeopleView;
use App\Views\SignInView;
use Carbon\CarbonImmutable;
use Illuminate\Database\ConnectionInterface;

/** Everybody of the company, whom a link waits for, and who signed in lately. */
final class PeopleList
{
    private const SIGN_INS = 40;

    public function __construct(private readonly ConnectionInterface $db)
    {
    }

    public function for(User $reader): PeopleView
    {
        $people = User::query()->where('company_id', $reader->company_id)->orderBy('name')->get();
        $makers = $people->keyBy('id');
        $links = [];
        foreach (Invitation::unspent()->where('expires_at', '>', CarbonImmutable::now())->orderBy('name')->orderBy('id')->cursor() as $link) {
            $maker = $makers->get($link->made_by);
            if (! $maker instanceof User || $maker->mayLetIn($link->role)) {
                $links[] = new InvitedView($link->id, $link->kind, $link->name, $link->email, $link->role->value, Moment::iso($link->expires_at), $maker->name ?? '');
            }
        }
        $signIns = $this->db->table('sign_ins')->where('sign_ins.company_id', $reader->company_id)->join('users', 'users.id', '=', 'sign_ins.user_id')
            ->orderByDesc('sign_ins.at')->limit(self::SIGN_INS)->get(['users.name', 'sign_ins.at', 'how', 'ok', 'address', 'agent']);

        return new PeopleView(
            array_values($people->map(fn (User $u): MemberView => new MemberView($u->id, $u->name, $u->email, $u->role->value, $u->is_active, $u->license))->all()),
            $links,
            array_values($signIns->map(fn (\stdClass $s): SignInView => new SignInView($s->name, Moment::iso($s->at), $s->how, $s->ok, $s->address, $s->agent))->all()),
        );
    }
}
