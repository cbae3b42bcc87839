<?php

declare(strict_types=1);

// Explains every query of the hot pages on a large database: none may read a large table whole, and each that reads
// one enters it by an index that begins with the company, or by the key of a row it was told.
//   plans.php   with IRON_START_VAR set, prints what is wrong; ends with 1 when anything is

use App\Models\Company;
use App\Models\Machine;
use App\Models\Site;
use App\Models\User;
use App\Queries\ClocksBoard;
use App\Queries\MachineScreen;
use App\Queries\OfficeDesk;
use App\Queries\RecordSheet;
use App\Queries\TodayBoard;
use App\Support\CurrentCompany;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require dirname(__DIR__, 2) . '/vendor/autoload.php';
$app = require dirname(__DIR__, 2) . '/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

const LARGE = ['machines', 'entries', 'readings', 'verdicts', 'sites', 'site_jobs', 'chain_links'];
$company = Company::query()->where('name', 'Company 7')->firstOrFail();
app(CurrentCompany::class)->set($company->id);
$lead = User::query()->where('company_id', $company->id)->where('role', 'lead')->firstOrFail();
$starter = User::query()->where('company_id', $company->id)->where('role', 'starter')->firstOrFail();
$machine = Machine::query()->with('job.site', 'sheet')->where('last_at', '>', 0)->firstOrFail();
$site = Site::query()->firstOrFail();
DB::enableQueryLog();
app(TodayBoard::class)->for($lead);
app(TodayBoard::class)->for($starter);
app(MachineScreen::class)->of($machine, $starter);
app(RecordSheet::class)->of($machine, $company);
app(ClocksBoard::class)->for($starter);
$desk = app(OfficeDesk::class);
$desk->sites('', '');
$desk->sites('har', '');
$desk->site($site);
$desk->review();
$desk->activity(null);
$desk->find($lead, 'rtu 1');
$desk->find($starter, 'sn 4');
$queries = DB::getQueryLog();
DB::disableQueryLog();

/** @return list<array<string, mixed>> */
function scans(array $plan): array
{
    $own = isset($plan['Relation Name']) && in_array($plan['Relation Name'], LARGE, true) ? [$plan] : [];

    return array_merge($own, ...array_map(scans(...), $plan['Plans'] ?? []));
}

function index(array $scan): string
{
    return $scan['Index Name'] ?? implode(', ', array_map(index(...), $scan['Plans'] ?? []));
}

$leads = [];
foreach (DB::select("SELECT indexname, indexdef FROM pg_indexes WHERE schemaname = 'public'") as $index) {
    $leads[$index->indexname] = preg_match('/\((company_id|id)\b/', $index->indexdef) === 1;
}
$wrong = 0;
foreach ($queries as $query) {
    $plan = json_decode(DB::selectOne('EXPLAIN (FORMAT JSON) ' . $query['query'], $query['bindings'])->{'QUERY PLAN'}, true)[0]['Plan'];
    foreach (scans($plan) as $scan) {
        $index = index($scan);
        $good = $scan['Node Type'] !== 'Seq Scan' && $index !== '' && array_filter(explode(', ', $index), fn (string $i): bool => ! ($leads[$i] ?? false)) === [];
        if (! $good) {
            $wrong++;
            echo "{$scan['Node Type']} of {$scan['Relation Name']} by \"$index\": " . substr($query['query'], 0, 300) . "\n";
        }
    }
}
echo count($queries) . " queries, $wrong that enter a large table otherwise than by the company or a row's key\n";
exit($wrong === 0 ? 0 : 1);
