<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Company;
use App\Models\Machine;
use App\Models\OfCompany;
use App\Models\SheetVersion;
use App\Models\Site;
use App\Models\SiteJob;
use App\Models\User;
use App\Refusals\Refusal;
use App\Support\Moment;
use App\Support\OfficeLog;
use Illuminate\Database\ConnectionInterface;

/** Sites, jobs and machines: made, and changed by whoever saw them as they are now. */
final class Office
{
    public function __construct(private readonly ConnectionInterface $db, private readonly OfficeLog $log)
    {
    }

    /** @param array{name: string, address: string, altitude_m: float, safety: array<string, string>} $given */
    public function makeSite(User $by, array $given): Site
    {
        $site = Site::query()->create($given);
        $this->log->say($by->id, 'site_made', $site->name);

        return $site;
    }

    /**
     * @param array{name: string, address: string, altitude_m: float, safety: array<string, string>} $given
     * @throws Refusal when somebody changed it meanwhile
     */
    public function changeSite(User $by, Site $site, int $version, array $given): Site
    {
        return $this->change($by, $site, $version, $given, 'site_changed', fn (Site $s): string => $s->name);
    }

    /** @param array{title: string, type: string, start_up_only: bool, asked: list<int>, facts: list<string>|null, starts_on: string, ends_on: string} $given */
    public function makeJob(User $by, Site $site, array $given): SiteJob
    {
        $facts = $given['facts'] ?? (Company::query()->findOrFail($by->company_id)->defaults['facts'] ?? []);
        $job = SiteJob::query()->create(['site_id' => $site->id, 'facts' => $facts] + $given);
        $this->log->say($by->id, 'job_made', "$job->title, $site->name");

        return $job;
    }

    /**
     * @param array{title: string, starts_on: string, ends_on: string} $given what can be changed of a job that has begun
     * @throws Refusal
     */
    public function changeJob(User $by, SiteJob $job, int $version, array $given): SiteJob
    {
        return $this->change($by, $job, $version, $given, 'job_changed', fn (SiteJob $j): string => $j->title);
    }

    /**
     * @param list<int> $people
     * @throws Refusal for somebody who is not of this company
     */
    public function setPeople(User $by, SiteJob $job, array $people): void
    {
        $known = User::query()->where('company_id', $by->company_id)->where('is_active', true)->whereIn('id', $people)->pluck('id')->all();
        if (count($known) !== count(array_unique($people))) {
            throw Refusal::field('people', $people, 'people of this company');
        }
        $job->people()->sync($people);
        $this->log->say($by->id, 'job_people', $job->title);
    }

    /**
     * @param array{name: string, place: string, serial: string, summary: string, history: string, sheet_version_id: int|null} $given
     * @throws Refusal when a machine of the job has that name
     */
    public function makeMachine(User $by, SiteJob $job, array $given): Machine
    {
        $this->nameIsFree($job->id, $given['name'], null);
        $this->sheetIsThere($given['sheet_version_id']);
        $position = (int) Machine::query()->where('site_job_id', $job->id)->max('position');
        $machine = Machine::query()->create(['site_job_id' => $job->id, 'position' => $position + 1] + $given);
        $this->log->say($by->id, 'machine_made', "$machine->name, $job->title");

        return $machine;
    }

    /**
     * @param array{name: string, place: string, serial: string, summary: string, history: string, sheet_version_id: int|null} $given
     * @throws Refusal
     */
    public function changeMachine(User $by, Machine $machine, int $version, array $given): Machine
    {
        $this->nameIsFree($machine->site_job_id, $given['name'], $machine->id);
        $this->sheetIsThere($given['sheet_version_id']);
        if ($machine->last_at > 0 && $given['sheet_version_id'] !== $machine->sheet_version_id && $machine->sheet_version_id !== null) {
            throw Refusal::conflict('Work has begun on this machine: it keeps the sheet it was started with.');
        }

        return $this->change($by, $machine, $version, $given, 'machine_changed', fn (Machine $m): string => $m->name);
    }

    /**
     * @template T of Site|SiteJob|Machine
     * @param T $row
     * @param array<string, mixed> $given
     * @param \Closure(T): string $name
     * @return T
     */
    private function change(User $by, OfCompany $row, int $version, array $given, string $what, \Closure $name): OfCompany
    {
        return $this->db->transaction(function () use ($by, $row, $version, $given, $what, $name): OfCompany {
            /** @var T $locked */
            $locked = $row->newQuery()->lockForUpdate()->findOrFail($row->getKey());
            if ($locked->version !== $version) {
                $theirs = array_intersect_key($locked->getAttributes(), $given);
                throw Refusal::already('Somebody changed this meanwhile. Look at it first.', [
                    'theirs' => ['at' => $locked->version, 'who' => $this->lastToChange($what, $name($locked)), 'when' => $locked->updated_at === null ? '' : Moment::iso($locked->updated_at), 'words' => implode(', ', array_filter($theirs, fn (mixed $v): bool => is_string($v) && $v !== ''))],
                    'yours' => ['words' => implode(', ', array_filter($given, fn (mixed $v): bool => is_string($v) && $v !== ''))],
                ]);
            }
            $locked->fill($given);
            $locked->version++;
            $locked->save();
            $this->log->say($by->id, $what, $name($locked));

            return $locked;
        });
    }

    private function lastToChange(string $what, string $about): string
    {
        $who = $this->db->table('office_log')->join('users', 'users.id', '=', 'office_log.user_id')->where('office_log.what', $what)->where('office_log.about', $about)
            ->where('office_log.company_id', app(\App\Support\CurrentCompany::class)->id())->orderByDesc('office_log.id')->value('users.name');

        return is_string($who) ? $who : '';
    }

    private function nameIsFree(int $job, string $name, ?int $own): void
    {
        if (Machine::query()->where('site_job_id', $job)->where('name', $name)->whereKeyNot($own ?? 0)->exists()) {
            throw Refusal::field('name', $name, 'a name no other machine of this job has');
        }
    }

    private function sheetIsThere(?int $sheet): void
    {
        if ($sheet !== null && ! SheetVersion::query()->whereKey($sheet)->exists()) {
            throw Refusal::field('sheet', $sheet, 'a sheet from the shelf');
        }
    }
}
