<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Actions\ClosePutBack;
use App\Actions\SignOff;
use App\Models\Company;
use App\Models\Machine;
use App\Models\PutBack;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Signature;
use App\Support\Stamp;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;

/** In the demo: RTU-1 answered to its end and signed by the starter, so that it waits for the lead. */
final class SignedSeeder extends Seeder
{
    public function run(CurrentCompany $current, Answered $answered, ClosePutBack $close, SignOff $signOff): void
    {
        $company = Company::query()->where('is_demo', true)->firstOrFail();
        $current->as($company->id, function () use ($company, $answered, $close, $signOff): void {
            $person = User::query()->where('company_id', $company->id)->where('role', 'starter')->firstOrFail();
            $machine = Machine::query()->with('job', 'sheet')->where('name', 'RTU-1')->firstOrFail();
            $now = CarbonImmutable::now();
            foreach (PutBack::out($machine->id)->get() as $out) {
                $close->close($machine, $out, new Stamp($person, 'demo', $now, $now), 'put back');
            }
            $answered->everything($machine, $person);
            $machine->refresh()->load('job', 'sheet');
            $drawn = Signature::of([array_map(fn (int $i): array => [0.1 + $i / 50, 0.5 + 0.3 * sin($i / 2)], range(0, 30))]);
            $now = CarbonImmutable::now();
            $signOff->sign($machine, new Stamp($person, 'demo', $now, $now), 'starter', $drawn, $machine->last_at);
        });
    }
}
