<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Machine;
use App\Models\OwnerLink;
use App\Models\User;
use App\Refusals\Refusal;
use App\Support\OfficeLog;
use App\Support\Token;
use Carbon\CarbonImmutable;

/** Links an owner reads one record through: made for so many days, withdrawn at once. */
final class OwnerLinks
{
    public function __construct(private readonly OfficeLog $log)
    {
    }

    public function make(User $by, Machine $machine, string $forWhom, int $days): Token
    {
        $token = Token::fresh($machine->company_id);
        $now = CarbonImmutable::now();
        OwnerLink::query()->create(['machine_id' => $machine->id, 'token_hash' => $token->hash(), 'for_whom' => trim($forWhom), 'made_by' => $by->id, 'made_at' => $now, 'expires_at' => $now->addDays($days)]);
        $this->log->say($by->id, 'owner_link', "$machine->name, for " . trim($forWhom));

        return $token;
    }

    /** @throws Refusal when it was withdrawn already */
    public function withdraw(User $by, Machine $machine, int $link): void
    {
        /** @var OwnerLink $found */
        $found = OwnerLink::query()->lockForUpdate()->findOrFail($link);
        if ($found->machine_id !== $machine->id) {
            throw Refusal::notFound();
        }
        if ($found->withdrawn_at !== null) {
            throw Refusal::already('This link was withdrawn already.');
        }
        $found->forceFill(['withdrawn_at' => CarbonImmutable::now(), 'withdrawn_by' => $by->id])->save();
        $this->log->say($by->id, 'link_withdrawn', "$machine->name, for $found->for_whom");
    }
}
