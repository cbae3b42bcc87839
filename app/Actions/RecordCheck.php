<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Instrument;
use App\Models\Machine;
use App\Models\RecordedVerdict;
use App\Queries\FeedEvents;
use App\Queries\JobReminders;
use App\Queries\Openings;
use App\Queries\PastReader;
use App\Queries\Prefill;
use App\Queries\Standings;
use App\Refusals\Refusal;
use App\Support\Stamp;
use Illuminate\Database\ConnectionInterface;
use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Entry\Conditions;
use IronStart\Core\Entry\Feed;
use IronStart\Core\Entry\FirstStep;
use IronStart\Core\Entry\OpenValves;
use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Gate\Gates;
use IronStart\Core\Gate\Recorded;
use IronStart\Core\Judge\Judge;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Sheet\TypedOver;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Verdict;

/** Records checks on a machine: every reading as it was read, the verdict, and what each sets off. */
final class RecordCheck
{
    private const RUN = 8;
    /** Refrigerant is moved by it: under which license stands beside it. */
    private const LICENSED = ['refrigerant.account', 'refrigerant.cylinder', 'charge.weigh_in', OpenValves::ID];

    public function __construct(
        private readonly Judge $judge,
        private readonly Tape $tape,
        private readonly Standings $standings,
        private readonly PastReader $past,
        private readonly SetOff $setOff,
        private readonly JobReminders $reminders,
        private readonly Openings $openings,
        private readonly TellFeed $feed,
        private readonly FeedEvents $events,
        private readonly ConnectionInterface $db,
    ) {
    }

    /**
     * Several that were read together are one write: all of them are recorded, or none.
     *
     * @param non-empty-list<RecordedInput> $given
     * @param 'us'|'si' $units of the person who reads the words
     * @return non-empty-list<Entry>
     * @throws Refusal
     * @throws InputError
     */
    public function all(Machine $machine, Stamp $stamp, array $given, string $units): array
    {
        // What it was like stands beside the amps that were read with it.
        uasort($given, fn (RecordedInput $a, RecordedInput $b): int => ($b->check === Conditions::ID) <=> ($a->check === Conditions::ID));

        return $this->tape->holding($machine, function (Machine $locked) use ($stamp, $given, $units): array {
            $entries = array_map(fn (RecordedInput $one): Entry => $this->one($locked, $stamp, $one, $units), $given);
            ksort($entries);

            return array_values($entries);
        });
    }

    /**
     * @param 'us'|'si' $units
     * @throws Refusal
     * @throws InputError
     */
    public function record(Machine $machine, Stamp $stamp, RecordedInput $given, string $units): Entry
    {
        return $this->all($machine, $stamp, [$given], $units)[0];
    }

    /** @param 'us'|'si' $units */
    private function one(Machine $locked, Stamp $stamp, RecordedInput $given, string $units): Entry
    {
        if ($given->check === 'job.gates') {
            throw Refusal::notFound();
        }
        $check = $this->judge->registry->get($given->check);
        $raw = $this->brought($check, $locked, $given);
        $input = $this->judge->input($given->check, $raw);
        $verdict = $this->judge->judgeInput($given->check, $input, $units);
        $this->explained($check, $locked, $given, $raw);
        [$place, $isLate] = $this->tape->place($locked, $stamp);
        [$reasons, $shut] = $given->check === FirstStep::ID
            ? $this->startRefused($locked, $given, $input, $isLate ? $place->at : null)
            : $this->refused($locked, $given, $isLate ? $place->at : null);
        $entry = $this->tape->append($locked, EntryKind::Check, $stamp, [
            'place' => $place,
            'supersedes' => $given->supersedes,
            'reason' => $given->reason,
            'details' => $this->instrument($given->instrumentId, $stamp) + array_filter(['reasons' => $reasons, 'conditions' => $this->conditions($given, $locked, $place->at), 'source' => $given->source, 'license' => in_array($given->check, self::LICENSED, true) ? $stamp->person->license : ''], fn (mixed $told): bool => $told !== [] && $told !== ''),
            'out_of_order' => $shut === [] ? $this->tooEarly($locked, $given, $isLate ? $place->at : null) : $shut,
        ]);
        $this->keepVerdict($locked->loadMissing('job'), $entry, $given, $raw, $verdict, $units);
        $this->keepReadings($entry, $given, $input);
        $this->setOff->by($verdict->judgement, $locked, $entry, $stamp, $given->subject, $input);
        if ($given->supersedes !== null) {
            $this->events->anew($locked->id);
        } elseif (FeedEvents::concerns($given->check)) {
            $this->events->happened($entry, $given->check, $verdict->judgement->status->value, $verdict->judgement->codes());
        }
        if ($given->check === Feed::ID && $verdict->judgement->status !== Status::Open) {
            $this->feed->told($locked, $entry, $input);
        }

        return $entry;
    }

    /**
     * Opening the valves is an act: refused while anything has to hold first. One that could not be asked before it was
     * done is kept, with the reasons, as out of order.
     *
     * @return array{list<string>, list<int>} the reasons, and the gates they lie at
     * @throws Refusal with one sentence for each reason; nothing is written then
     */
    private function refused(Machine $locked, RecordedInput $given, ?int $moment): array
    {
        if ($given->check !== OpenValves::ID || $given->supersedes !== null) {
            return [[], []];
        }
        $standing = $this->standings->before($locked->loadMissing('job'), $moment);
        [$reasons, $gates] = $this->openings->refused($locked, $standing, $this->past->of($locked), $given->subject, (array) json_decode((string) json_encode($given->raw), true));
        if ($reasons !== [] && ! $given->unchecked) {
            throw Refusal::notReady($reasons);
        }

        return [$reasons, $gates];
    }

    /**
     * The start of one thing on the first run is an act, each time: refused while anything lies between it and the damage.
     * What is told later of a start that was made is not.
     *
     * @return array{list<string>, list<int>} the reasons, and the gates they lie at
     * @throws Refusal with one sentence for each reason; nothing is written then
     */
    private function startRefused(Machine $locked, RecordedInput $given, Input $input, ?int $moment): array
    {
        $started = $input->moment('started')?->written;
        $made = array_filter($this->past->of($locked)->eachOf(FirstStep::ID, 'name', 'started'), fn (array $start): bool => $start['name'] === $input->text('name') && $start['started'] === $started);
        if ($made !== [] || $given->supersedes !== null) {
            return [[], []];
        }
        $reasons = $this->standings->before($locked->loadMissing('job'), $moment)->startRefused;
        if ($reasons !== [] && ! $given->unchecked) {
            throw Refusal::notReady($reasons);
        }

        return [$reasons, $reasons === [] ? [] : [self::RUN]];
    }

    /**
     * What it was like when amps were read, where that was written down within the hour.
     *
     * @return array{at: int, words: string}|array{}
     */
    private function conditions(RecordedInput $given, Machine $locked, int $moment): array
    {
        if (! in_array($given->check, Conditions::BESIDE, true)) {
            return [];
        }
        $last = Entry::query()->where('entries.machine_id', $locked->id)->join('verdicts', Entry::beside('verdicts'))
            ->where('verdicts.check', Conditions::ID)->where('verdicts.status', '<>', Status::Open->value)
            ->whereBetween('entries.placed_at', [Entry::moment($moment - 1000 * Conditions::HOLD), Entry::moment($moment)])
            ->orderByDesc('entries.placed_at')->orderByDesc('entries.at')->toBase()->first(['entries.at', 'verdicts.said']);
        $said = json_decode($last->said ?? '{}', true);

        return $last === null ? [] : ['at' => (int) $last->at, 'words' => implode(' ', [$said['headline'], ...$said['because']])];
    }

    /** The input with what the record gives to it, so that the verdict is the one the bench showed. */
    private function brought(Check $check, Machine $locked, RecordedInput $given): mixed
    {
        $members = $given->raw instanceof \stdClass ? json_decode((string) json_encode($given->raw), true) : null;
        if (! $check instanceof DrawsOnRecord || ! is_array($members)) {
            return $given->raw;
        }

        return json_decode((string) json_encode((object) Prefill::brought($check, $members, $this->past->of($locked), $given->subject), JSON_PRESERVE_ZERO_FRACTION));
    }

    /**
     * The gates of a reading that were not ready for it: they are judged only where order matters.
     *
     * @return list<int>
     */
    private function tooEarly(Machine $locked, RecordedInput $given, ?int $moment): array
    {
        if (! CheckTable::isOrdered($given->check, Recorded::baseOf($given->subject))) {
            return [];
        }
        $before = $this->standings->before($locked->loadMissing('job'), $moment);

        return Gates::tooEarly($before->job, $given->check, $given->subject, $before->gates);
    }

    /**
     * The instrument as it was that day, with whether its calibration was overdue.
     *
     * @return array<string, mixed>
     */
    private function instrument(?int $id, Stamp $stamp): array
    {
        $tool = $id === null ? null : Instrument::query()->find($id);

        return $tool === null ? [] : ['instrument' => [
            'name' => $tool->name, 'kind' => $tool->kind, 'serial' => $tool->serial, 'accuracy' => $tool->accuracy,
            'calibration_due' => $tool->calibration_due?->toDateString() ?? '',
            'overdue' => $tool->isOverdue($stamp->arrivedAt),
        ]];
    }

    /** @throws Refusal when a figure of the sheet was typed over without a word why */
    private function explained(Check $check, Machine $locked, RecordedInput $given, mixed $raw): void
    {
        if (trim($given->reason) !== '' || $locked->sheet_version_id === null) {
            return;
        }
        $typed = json_decode((string) json_encode($raw), true);
        $over = TypedOver::of($check->fields(), Prefill::fromSheet($check, $locked, $this->past->ofPlates($locked), $given->subject), is_array($typed) ? $typed : []);
        foreach ($over as $field => $figures) {
            throw Refusal::field('reason', '', $this->why($given->check, (string) $field, $figures));
        }
    }

    /** @param array{sheet: string, typed: string} $figures */
    private function why(string $check, string $path, array $figures): string
    {
        $parts = explode('.', $path);
        [$label] = $this->judge->speaker->phrases->field($check, count($parts) === 3 ? "$parts[0].$parts[2]" : $path);
        $of = count($parts) === 3 ? "$parts[1] " : '';

        return "why you entered {$figures['typed']} for $of$label when the sheet says {$figures['sheet']}";
    }

    private function keepVerdict(Machine $locked, Entry $entry, RecordedInput $given, mixed $raw, Verdict $verdict, string $units): void
    {
        // Said with what the job adds, as the bench showed it.
        $cautions = array_values(array_unique([...$verdict->judgement->cautions, ...$this->reminders->of($locked, $given->check, $given->subject)]));
        RecordedVerdict::query()->create([
            'machine_id' => $entry->machine_id,
            'entry_id' => $entry->id,
            'at' => $entry->at,
            'check' => $given->check,
            'check_version' => $verdict->version,
            'subject' => $given->subject,
            'status' => $verdict->judgement->status->value,
            'marginal' => $verdict->judgement->marginal,
            'codes' => $verdict->judgement->codes(),
            'units' => $units,
            'input' => $raw,
            'findings' => array_map(fn (Finding $f): array => $f->toArray(), $verdict->judgement->findings),
            'said' => ['cautions' => $cautions] + $verdict->toArray(),
        ]);
    }

    private function keepReadings(Entry $entry, RecordedInput $given, Input $input): void
    {
        $ofAll = [
            'company_id' => $entry->getAttribute('company_id'),
            'machine_id' => $entry->machine_id,
            'entry_id' => $entry->id,
            'at' => $entry->at,
            'recorded_at' => $entry->recorded_at->format(Entry::MOMENT),
            'device_at' => $entry->device_at->format(Entry::MOMENT),
            'user_id' => $entry->user_id,
            'instrument_id' => $given->instrumentId,
            'check' => $given->check,
        ];
        $rows = [];
        foreach ($input->readings() as $path => $read) {
            $rows[] = $ofAll + [
                'path' => $path,
                'kind' => $read->kind->value,
                'value_read' => $read->value,
                'unit_read' => $read->unit,
                'value' => $read->canonical,
                'unit' => Units::canonical($read->kind),
            ];
        }
        if ($rows !== []) {
            $this->db->table('readings')->insert($rows);
        }
    }
}
