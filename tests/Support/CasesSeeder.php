<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Actions\KeepSheet;
use App\Models\Company;
use App\Models\Machine;
use App\Models\User;
use App\Support\CurrentCompany;
use Illuminate\Database\Seeder;

/**
 * In the demo: RTU-21 with a part-winding screw and a blower on a drive, and RTU-22 like the others with all of Power
 * answered and started, for what most units do not have.
 */
final class CasesSeeder extends Seeder
{
    private const SHEET = [
        'model' => 'KR-900P', 'kind' => 'rooftop',
        'electrical' => [
            'plate_voltage' => '460', 'phases' => 3, 'mca' => '118 A', 'mocp' => '175 A', 'terminal_rating' => 75, 'bus_wait' => '10 min',
            'motors' => [
                ['name' => 'S1', 'kind' => 'screw', 'drive' => 'part_winding', 'phases' => 3, 'amps' => '84 A'],
                ['name' => 'Blower', 'kind' => 'blower', 'drive' => 'inverter', 'phases' => 3, 'amps' => '22 A'],
            ],
        ],
        'circuits' => [['name' => 'A', 'refrigerant' => 'R-134a', 'metering' => 'txv', 'compressors' => ['S1']]],
    ];

    public function run(CurrentCompany $current, KeepSheet $keep, Answered $answered): void
    {
        $company = Company::query()->where('is_demo', true)->firstOrFail();
        $current->as($company->id, function () use ($company, $keep, $answered): void {
            $person = User::query()->where('company_id', $company->id)->where('role', 'starter')->firstOrFail();
            $like = Machine::query()->where('name', 'RTU-2')->firstOrFail();
            $version = $keep->keep((string) json_encode(self::SHEET));
            Machine::query()->create(['site_job_id' => $like->site_job_id, 'sheet_version_id' => $version->id, 'name' => 'RTU-21', 'place' => 'annex', 'position' => 21]);
            $two = Machine::query()->create(['site_job_id' => $like->site_job_id, 'sheet_version_id' => $like->sheet_version_id, 'name' => 'RTU-22', 'place' => 'annex', 'position' => 22]);
            $answered->everything($two->refresh()->load('job', 'sheet'), $person, ['power.running_amps']);
        });
    }
}
