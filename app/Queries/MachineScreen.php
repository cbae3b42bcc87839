<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Models\User;
use App\Views\GateView;
use App\Views\MachineView;
use App\Views\MissingView;
use App\Views\ReadyView;
use App\Views\SheetOfUnitView;
use Illuminate\Database\Eloquent\Collection;
use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Gate\Gates;
use IronStart\Core\Vrf\AsDrawn;
use IronStart\Core\Wording\GateLine;

/** All that the Machine screen needs, in one answer. */
final class MachineScreen
{
    public function __construct(
        private readonly Standings $standings,
        private readonly TapeReader $tape,
        private readonly Prefill $prefill,
        private readonly InstrumentList $instruments,
        private readonly JobParts $parts,
        private readonly JobReminders $reminders,
        private readonly Openings $openings,
        private readonly FeedBoard $feeds,
    ) {
    }

    public function of(Machine $machine, User $reader): MachineView
    {
        $machine->loadMissing('job.site')->load(['sheet' => fn ($sheet) => $sheet->select('*')->selectRaw('(SELECT max(newer.version) FROM sheet_versions newer WHERE newer.company_id = sheet_versions.company_id AND newer.sheet_id = sheet_versions.sheet_id) AS newest')]);
        $rows = $this->tape->rows($machine->id);
        $putBack = $this->tape->putBack(new Collection([$machine]), false);
        $standing = $this->standings->fromTape($machine, $rows, $putBack);
        $entries = $this->tape->entries($machine->id, $rows);
        $start = $rows->where('kind', 'start')->last();
        $feed = $this->feeds->of($machine);
        $past = PastReader::from($machine, $rows, fn (): ?Feed => $feed);

        return new MachineView(
            id: $machine->id,
            name: $machine->name,
            place: $machine->place,
            serial: $machine->serial,
            summary: $machine->summary,
            history: $machine->history,
            site: $machine->job->site->name,
            job: $machine->job->title,
            jobType: $machine->job->type,
            status: $standing->gates->status()->value,
            current: $standing->gates->current,
            next: $standing->next,
            gates: self::gates($standing->lines),
            putBack: $putBack,
            tape: $entries,
            startRefused: $standing->startRefused,
            startedAt: $start === null ? null : (int) $start->at,
            openings: $this->openings->of($machine, $standing, $past),
            sheet: self::sheet($machine),
            prefill: (object) $this->prefill->of($machine, $reader, $past, $rows),
            instruments: $this->instruments->all(),
            news: $machine->last_at,
            items: JobParts::items($standing->tape),
            parts: [...Standings::parts($machine), ...array_map(fn (string $unit): string => "indoor:$unit", AsDrawn::indoor($past))],
            partsOut: JobParts::out($standing->tape),
            facts: $this->parts->facts($machine),
            ready: self::ready($rows, $standing->tape),
            signOff: SignOffs::of($rows, $standing->tape),
            digest: $machine->digest,
            plate: (object) $this->prefill->plate($machine, $past),
            fans: Standings::sheet($machine)->fans(),
            version: $machine->version,
            tooEarly: (object) self::tooEarly($standing),
            feed: $feed === null ? null : $this->feeds->view($feed),
            cautions: (object) $this->reminders->all($machine, $putBack),
        );
    }

    private static function sheet(Machine $machine): ?SheetOfUnitView
    {
        $own = $machine->sheet;

        return $own === null ? null : new SheetOfUnitView($own->sheet_id, (string) ($own->body['model'] ?? ''), $own->version, (int) $own->getAttribute('newest'), Standings::sheet($machine)->delays());
    }

    /** @return array<string, int> the first gate that is not open for it, by `check:base` */
    private static function tooEarly(Standing $standing): array
    {
        $bases = ['machine', 'loaded', ...array_map(fn (string $name): string => "circuit:$name", $standing->job->circuits)];
        $early = [];
        foreach (CheckTable::checks() as $check) {
            foreach ($bases as $base) {
                $shut = CheckTable::isOrdered($check, $base) ? Gates::tooEarly($standing->job, $check, $base, $standing->gates) : [];
                if ($shut !== []) {
                    $early["$check:$base"] = $shut[0];
                }
            }
        }

        return $early;
    }

    /** @param \Illuminate\Support\Collection<int, \stdClass> $rows */
    private static function ready(\Illuminate\Support\Collection $rows, TapeState $state): ?ReadyView
    {
        return $state->asked === null ? null : new ReadyView($state->asked['entry'], $rows->firstWhere('at', $state->asked['entry'])->who ?? '', $state->asked['user'], $state->asked['what']);
    }

    /**
     * @param list<GateLine> $lines
     * @return list<GateView>
     */
    public static function gates(array $lines): array
    {
        return array_map(fn (GateLine $line): GateView => new GateView(
            $line->gate,
            $line->name,
            $line->question,
            $line->state,
            $line->shut,
            $line->sentence,
            $line->check,
            $line->subject,
            array_map(fn (array $m): MissingView => new MissingView($m['check'], $m['subject'], $m['todo']), $line->missing),
            $line->flags,
            $line->notes,
        ), $lines);
    }
}
