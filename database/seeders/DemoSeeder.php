<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\AddNote;
use App\Actions\ClosePutBack;
use App\Actions\KeepSheet;
use App\Actions\OpenPutBack;
use App\Actions\PressStart;
use App\Actions\RecordCheck;
use App\Actions\RecordedInput;
use App\Actions\RunClock;
use App\Actions\SignOff;
use App\Models\Company;
use App\Models\Instrument;
use App\Models\Machine;
use App\Models\PutBack;
use App\Models\SheetVersion;
use App\Models\Site;
use App\Models\SiteJob;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use App\Support\Signature;
use App\Support\Stamp;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;

/** Loads the demo from database/demo, through the same actions that people's presses go through. */
final class DemoSeeder extends Seeder
{
    private const FOOT = 0.3048;

    public function __construct(
        private readonly CurrentCompany $current,
        private readonly KeepSheet $keepSheet,
        private readonly RecordCheck $record,
        private readonly PressStart $start,
        private readonly ClosePutBack $closePutBack,
        private readonly AddNote $note,
        private readonly OpenPutBack $openPutBack,
        private readonly RunClock $clock,
        private readonly SignOff $signOff,
    ) {
    }

    public function run(): void
    {
        if (Company::query()->where('is_demo', true)->exists()) {
            return;
        }
        $demo = self::file('company.json');
        $company = Company::query()->create(['name' => $demo['name'], 'units' => $demo['units'], 'time_zone' => $demo['time_zone'], 'is_demo' => true]);
        $this->current->as($company->id, function () use ($demo, $company): void {
            foreach ($demo['people'] as $person) {
                User::query()->create(['company_id' => $company->id, 'name' => $person['name'], 'email' => $person['email'], 'role' => Role::from($person['role']), 'password' => Str::random(40), 'license' => $person['license'] ?? '']);
            }
            foreach ($demo['instruments'] as $tool) {
                Instrument::query()->create(['name' => $tool['name'], 'kind' => $tool['kind'], 'serial' => $tool['serial'], 'accuracy' => $tool['accuracy'], 'calibration_due' => CarbonImmutable::today()->addDays($tool['due_in_days'])]);
            }
            foreach (glob(database_path('demo/sheets/*.json')) ?: [] as $sheet) {
                $this->keepSheet->keep((string) file_get_contents($sheet));
            }
            array_map($this->site(...), $demo['sites']);
            array_map($this->tape(...), self::file('tapes.json'));
        });
    }

    /** @param array<string, mixed> $site */
    private function site(array $site): void
    {
        $kept = Site::query()->create(['name' => $site['name'], 'address' => $site['address'], 'altitude_m' => $site['altitude_ft'] * self::FOOT, 'safety' => $site['safety']]);
        foreach ($site['jobs'] as $job) {
            $made = SiteJob::query()->create([
                'site_id' => $kept->id, 'title' => $job['title'], 'type' => $job['type'], 'start_up_only' => $job['start_up_only'] ?? false, 'facts' => $job['facts'], 'asked' => [],
                'starts_on' => CarbonImmutable::today()->addDays($job['from_day']), 'ends_on' => CarbonImmutable::today()->addDays($job['to_day']),
            ]);
            $made->people()->attach(array_map(fn (string $name): int => self::person($name)->id, $job['people']));
            foreach ($job['machines'] as $position => $machine) {
                Machine::query()->create([
                    'site_job_id' => $made->id, 'facts' => array_fill_keys($machine['facts'] ?? [], true), 'name' => $machine['name'], 'place' => $machine['place'], 'serial' => $machine['serial'], 'summary' => $machine['summary'],
                    'history' => $machine['history'] ?? '', 'position' => $position, 'sheet_version_id' => self::sheet($machine['sheet']),
                ]);
            }
        }
    }

    /** @param array<string, mixed> $tape */
    private function tape(array $tape): void
    {
        $machine = Machine::query()->with('job')->where('name', $tape['machine'])
            ->whereHas('job.site', fn ($site) => $site->where('name', $tape['site']))
            ->when(isset($tape['job']), fn ($query) => $query->whereHas('job', fn ($job) => $job->where('title', $tape['job'])))
            ->orderByDesc('id')->firstOrFail();
        $now = CarbonImmutable::now();
        foreach ($tape['entries'] as $entry) {
            $at = isset($entry['day'])
                ? CarbonImmutable::parse("{$entry['day']} days {$entry['time']}", Company::query()->findOrFail($machine->company_id)->time_zone)->utc()
                : $now->subMinutes($entry['ago_min']);
            $stamp = new Stamp(self::person($entry['who']), 'demo', $at, $at->addSeconds(1));
            match (true) {
                isset($entry['check']) => $this->record->record($machine, $stamp, self::input($entry, $at), 'us'),
                isset($entry['put_back']) => $this->openPutBack->byHand($machine, $stamp, $entry['put_back'], $entry['where']),
                isset($entry['clock']) => $this->clock->start($machine, $stamp, $entry['clock'], $entry['name'], $entry['minutes']),
                isset($entry['start']) => $this->start->press($machine, $stamp),
                isset($entry['reviewed']) => $this->signOff->review($machine, $stamp, $entry['reviewed'], (int) $machine->refresh()->last_at),
                isset($entry['signed']) => $this->signOff->sign($machine, $stamp, $entry['signed'], self::signature($entry['who']), (int) $machine->refresh()->last_at),
                isset($entry['close']) => $this->closePutBack->close($machine, PutBack::query()->where('machine_id', $machine->id)->where('what', 'like', $entry['close'] . '%')->firstOrFail(), $stamp, $entry['word']),
                default => $this->note->add($machine, $stamp, $entry['gate'] ?? null, $entry['note']),
            };
        }
    }

    /** @param array<string, mixed> $entry */
    private static function input(array $entry, CarbonImmutable $at): RecordedInput
    {
        $instrument = isset($entry['instrument']) ? Instrument::query()->where('name', $entry['instrument'])->value('id') : null;

        return new RecordedInput($entry['check'], $entry['subject'] ?? 'machine', json_decode((string) json_encode(self::dated($entry['input'], $at))), is_int($instrument) ? $instrument : null, reason: $entry['reason'] ?? '');
    }

    /** A moment in an input is told as so many minutes before its entry: `@45`. */
    private static function dated(mixed $input, CarbonImmutable $at): mixed
    {
        if (is_array($input)) {
            return array_map(fn (mixed $one): mixed => self::dated($one, $at), $input);
        }

        return is_string($input) && preg_match('/^@(-?[\d.]+)$/', $input, $minutes) === 1
            ? $at->subSeconds((int) round(60 * (float) $minutes[1]))->format('Y-m-d\TH:i:sP')
            : $input;
    }

    /** Loops that run out to the right, as many as the name has letters. */
    private static function signature(string $name): Signature
    {
        $points = [];
        $loops = strlen($name) / 2;
        for ($i = 0; $i <= 160; $i++) {
            $u = $i / 160;
            $turn = 2 * M_PI * $loops * $u;
            $points[] = [0.08 + 0.78 * $u + 0.04 * sin($turn), 0.55 - (0.28 - 0.2 * $u) * cos($turn + ord($name[0]) * $u / 20) - 0.06 * $u];
        }

        return Signature::of([$points]);
    }

    private static function person(string $name): User
    {
        return User::query()->where('company_id', app(CurrentCompany::class)->id())->where('name', $name)->firstOrFail();
    }

    private static function sheet(string $model): int
    {
        return (int) SheetVersion::query()->whereIn('sheet_id', fn ($q) => $q->from('sheets')->where('company_id', app(CurrentCompany::class)->id())->where('model', $model)->select('id'))->orderByDesc('version')->value('id');
    }

    /** @return array<array-key, mixed> */
    private static function file(string $name): array
    {
        /** @var array<array-key, mixed> */
        return json_decode((string) file_get_contents(database_path("demo/$name")), true, 512, JSON_THROW_ON_ERROR);
    }
}
