<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Models\Company;
use App\Models\Machine;
use App\Models\User;
use App\Support\CurrentCompany;
use Illuminate\Database\Seeder;

/** In the demo: RTU-1 with everything answered but the owner's brief, for the tests of the handover. */
final class AnsweredSeeder extends Seeder
{
    public function run(CurrentCompany $current, Answered $answered): void
    {
        $company = Company::query()->where('is_demo', true)->firstOrFail();
        $current->as($company->id, function () use ($company, $answered): void {
            $person = User::query()->where('company_id', $company->id)->where('role', 'starter')->firstOrFail();
            $machine = Machine::query()->with('job', 'sheet')->where('name', 'RTU-1')->firstOrFail();
            $answered->everything($machine, $person, ['list.owner']);
        });
    }
}
