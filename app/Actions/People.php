<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Company;
use App\Models\Invitation;
use App\Models\User;
use App\Refusals\Refusal;
use App\Support\CurrentCompany;
use App\Support\OfficeLog;
use App\Support\Role;
use App\Support\Token;
use Carbon\CarbonImmutable;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Support\Str;

/** Who belongs to the company: invited by a link the office hands over, changed, let go; a lead always remains. */
final class People
{
    private const INVITED_DAYS = 7;
    private const RESET_HOURS = 24;
    private const SHORTEST = 10;
    private const LONGEST = 128;

    public function __construct(private readonly ConnectionInterface $db, private readonly CurrentCompany $company, private readonly OfficeLog $log)
    {
    }

    /** @throws Refusal when somebody signs in with that address already, or it is for a lead and made by none */
    public function invite(User $by, string $name, string $email, Role $role): Token
    {
        self::mayConcern($by, $role);
        $email = self::email($email);
        if (User::query()->where('email', $email)->exists()) {
            throw Refusal::field('email', $email, 'an e-mail address nobody signs in with yet');
        }
        $this->log->say($by->id, 'invited', "$name, $role->value");

        return $this->link('invite', $by, trim($name), $email, $role, null, CarbonImmutable::now()->addDays(self::INVITED_DAYS));
    }

    /** @throws Refusal for a lead, made by none */
    public function resetLink(User $by, User $person): Token
    {
        self::mayConcern($by, $person->role);
        $this->log->say($by->id, 'reset_link', $person->name);

        return $this->link('reset', $by, $person->name, $person->email, $person->role, $person->id, CarbonImmutable::now()->addHours(self::RESET_HOURS));
    }

    /**
     * What a link is for, while it can be used.
     *
     * @throws Refusal when it is none, was used, or has ended
     */
    public function read(string $token): Invitation
    {
        $read = Token::read($token) ?? throw Refusal::linkGone();

        return $this->company->as($read->company, fn (): Invitation => $this->usable($read));
    }

    /**
     * Ends whatever let somebody in as this person before: sessions and links.
     *
     * @throws Refusal when the link can't be used, or the password is too short
     */
    public function accept(string $token, string $password): User
    {
        if (mb_strlen($password) < self::SHORTEST || mb_strlen($password) > self::LONGEST) {
            throw Refusal::field('password', null, 'a password of ' . self::SHORTEST . ' to ' . self::LONGEST . ' characters');
        }
        $read = Token::read($token) ?? throw Refusal::linkGone();

        return $this->company->as($read->company, fn (): User => $this->db->transaction(function () use ($read, $password): User {
            $link = $this->usable($read, true);
            $person = $link->user_id === null ? $this->begin($link) : User::query()->where('company_id', $read->company)->findOrFail($link->user_id);
            $person->password = $password;
            $person->setRememberToken(Str::random(60));
            $link->used_at = CarbonImmutable::now();
            $link->save();
            $this->beginAnew($person);
            $this->log->say($person->id, $link->kind === 'invite' ? 'joined' : 'new_password', $person->name);

            return $person;
        }));
    }

    /**
     * Ends what was open in the role of before: sessions and links.
     *
     * @throws Refusal when no lead would remain, or it concerns a lead and is done by none
     */
    public function changeRole(User $by, User $person, Role $role): void
    {
        if ($role === $person->role) {
            return;
        }
        self::mayConcern($by, $person->role, $role);
        $this->keepingALead($person, $role === Role::Lead, function () use ($by, $person, $role): void {
            $this->log->say($by->id, 'role', "$person->name: {$person->role->value} to $role->value");
            $person->role = $role;
            $this->beginAnew($person);
        });
    }

    /**
     * Lets somebody go, or back in. What they recorded stays.
     *
     * @throws Refusal when no lead would remain, or it concerns a lead and is done by none
     */
    public function setActive(User $by, User $person, bool $active): void
    {
        self::mayConcern($by, $person->role);
        $this->keepingALead($person, $active, function () use ($by, $person, $active): void {
            $person->is_active = $active;
            $this->beginAnew($person);
            $this->log->say($by->id, $active ? 'let_in' : 'let_go', $person->name);
        });
    }

    public function setLicense(User $by, User $person, string $license): void
    {
        $person->license = $license;
        $person->save();
        $this->log->say($by->id, 'license', "$person->name: $license");
    }

    public function signOutEverywhere(User $by, User $person): void
    {
        $person->session_epoch++;
        $person->save();
        $this->log->say($by->id, 'signed_out', $person->name);
    }

    /** A link that lets somebody in does so no more. */
    public function withdraw(User $by, Invitation $link): void
    {
        if ($link->used_at === null && $link->withdrawn_at === null) {
            $link->withdrawn_at = CarbonImmutable::now();
            $link->save();
            $this->log->say($by->id, 'invite_withdrawn', $link->name);
        }
    }

    /** Keeps the person as changed, and ends every session and link by which somebody could come in as before. */
    private function beginAnew(User $person): void
    {
        $person->session_epoch++;
        $person->save();
        Invitation::unspent()->where(fn ($query) => $query->where('user_id', $person->id)->orWhere('email', $person->email))
            ->update(['withdrawn_at' => CarbonImmutable::now()]);
    }

    /** @throws Refusal when a lead is concerned, and whoever does it is none */
    private static function mayConcern(User $by, Role ...$concerned): void
    {
        if (in_array(Role::Lead, $concerned, true) && ! $by->role->may('leads')) {
            throw Refusal::onlyALead();
        }
    }

    /** One at a time, so that two who let each other go at the same moment don't both succeed. */
    private function keepingALead(User $person, bool $staysLead, \Closure $change): void
    {
        $this->db->transaction(function () use ($person, $staysLead, $change): void {
            Company::query()->lockForUpdate()->findOrFail($person->company_id);
            $others = User::query()->where('company_id', $person->company_id)->whereKeyNot($person->id)->where('role', Role::Lead->value)->where('is_active', true)->exists();
            if (! $others && ! $staysLead && $person->role === Role::Lead) {
                throw Refusal::conflict('At least one lead remains: make somebody else a lead first.');
            }
            $change();
        });
    }

    private function begin(Invitation $link): User
    {
        if (User::query()->where('email', $link->email)->exists()) {
            throw Refusal::conflict('Somebody signs in with this address already.');
        }
        $units = Company::query()->findOrFail($link->company_id)->units;

        return new User(['company_id' => $link->company_id, 'name' => $link->name, 'email' => $link->email, 'role' => $link->role, 'units' => $units]);
    }

    private function usable(Token $token, bool $forUse = false): Invitation
    {
        $link = Invitation::query()->where('token_hash', $token->hash())->when($forUse, fn ($query) => $query->lockForUpdate())->first();
        $maker = $link?->made_by === null ? null : User::query()->where('company_id', $token->company)->find($link->made_by);
        if ($link === null || ! $link->isOpen() || ($maker !== null && ! $maker->mayLetIn($link->role))) {
            throw Refusal::linkGone();
        }

        return $link;
    }

    /** @param 'invite'|'reset' $kind */
    private function link(string $kind, User $by, string $name, string $email, Role $role, ?int $user, CarbonImmutable $until): Token
    {
        $token = Token::fresh($by->company_id);
        Invitation::query()->create(['kind' => $kind, 'token_hash' => $token->hash(), 'name' => $name, 'email' => $email, 'role' => $role, 'user_id' => $user, 'made_by' => $by->id, 'made_at' => CarbonImmutable::now(), 'expires_at' => $until]);

        return $token;
    }

    private static function email(string $email): string
    {
        $email = mb_strtolower(trim($email));

        return filter_var($email, FILTER_VALIDATE_EMAIL) !== false ? $email : throw Refusal::field('email', $email, 'an e-mail address');
    }
}
