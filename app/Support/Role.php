<?php

declare(strict_types=1);

namespace App\Support;

/** Who may do what. Nobody removes or rewrites an entry. */
enum Role: string
{
    case Helper = 'helper';
    case Starter = 'starter';
    case Lead = 'lead';
    case Office = 'office';

    /** The one table of rights. */
    private const RIGHTS = [
        'see_all_jobs' => ['lead', 'office'],
        'record' => ['helper', 'starter', 'lead'],
        'doubt_own' => ['helper', 'starter', 'lead'],
        'doubt_any' => ['starter', 'lead'],
        'close_own_put_back' => ['helper', 'starter', 'lead'],
        'close_any_put_back' => ['starter', 'lead'],
        'start' => ['starter', 'lead'],
        'facts' => ['starter', 'lead', 'office'],
        'disable' => ['starter', 'lead'],
        'override' => ['lead'],
        'review' => ['lead'],
        'sign_starter' => ['starter'],
        'sign_lead' => ['lead'],
        // Machines of the jobs one is on; for those who see all jobs, of all.
        'machines' => ['starter', 'lead', 'office'],
        // Ticks what is on the van.
        'bring' => ['helper', 'starter', 'lead', 'office'],
        'office' => ['lead', 'office'],
        'instruments' => ['lead', 'office'],
        'make_owner_link' => ['lead', 'office'],
        'withdraw_owner_link' => ['lead'],
        'people' => ['lead', 'office'],
        // Makes a lead, changes one's role, lets one go, gives one a new password.
        'leads' => ['lead'],
    ];

    public function may(string $right): bool
    {
        return in_array($this->value, self::RIGHTS[$right] ?? throw new \LogicException("There is no right \"$right\"."), true);
    }

    /** @return list<string> */
    public function rights(): array
    {
        return array_values(array_filter(array_keys(self::RIGHTS), $this->may(...)));
    }
}
