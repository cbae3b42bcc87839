<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Machine;
use App\Views\AsLeftView;
use App\Views\GateView;
use App\Views\MissingView;
use App\Views\RecordView;
use App\Views\ToldView;
use Illuminate\Database\ConnectionInterface;
use IronStart\Core\Chain\Chain;
use IronStart\Core\Chain\RecordProof;

/** Writes a record as a file that proves itself: database/schemas/record.schema.json says what is in it. */
final class RecordExport
{
    public const FORMAT = 'iron-start-record-1';
    private const JSON = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR;

    public function __construct(private readonly ConnectionInterface $db, private readonly CompanyKeys $keys)
    {
    }

    /** @param Machine $machine with its job */
    public function of(Machine $machine, RecordView $record): string
    {
        $key = $this->keys->of($machine->company_id);
        $file = (object) [
            'format' => self::FORMAT,
            'record_id' => $record->recordId,
            'made_at' => $record->madeAt,
            'company' => (object) ['name' => $record->company, 'public_key' => $key->publicKey(), 'fingerprint' => $record->fingerprint],
            'site' => (object) ['name' => $record->site, 'address' => $record->address],
            'job' => (object) ['title' => $record->job, 'type' => $machine->job->type, 'start_up_only' => $machine->job->start_up_only, 'facts' => $machine->job->facts],
            'machine' => (object) ['name' => $record->machine, 'place' => $machine->place, 'serial' => $record->serial, 'model' => $record->model, 'summary' => $record->summary, 'history' => $record->history],
            'status' => $record->status,
            'answers' => array_map(self::answer(...), $record->answers),
            'as_left' => array_map(fn (AsLeftView $matter): \stdClass => (object) ['matter' => $matter->matter, 'title' => $matter->title, 'rows' => array_map(fn (ToldView $row): \stdClass => (object) ['name' => $row->label, 'value' => $row->value], $matter->rows)], $record->asLeft),
            'chain' => $this->links($machine),
            'digest' => $record->digest === '' ? Chain::start($record->recordId) : $record->digest,
        ];
        // What the rows of the database say otherwise than the chain goes along, sealed too.
        if ($record->differs !== []) {
            $file->differs = $record->differs;
        }
        $file->seal = $key->sign(RecordProof::sealed($file));

        return json_encode($file, self::JSON) . "\n";
    }

    private static function answer(GateView $gate): \stdClass
    {
        return (object) [
            'gate' => $gate->gate, 'name' => $gate->name, 'question' => $gate->question, 'state' => $gate->state, 'sentence' => $gate->sentence,
            'missing' => array_map(fn (MissingView $m): string => $m->todo, $gate->missing), 'flags' => $gate->flags, 'notes' => $gate->notes,
        ];
    }

    /** @return list<\stdClass> */
    private function links(Machine $machine): array
    {
        $rows = $this->db->table('chain_links')->where('company_id', $machine->company_id)->where('machine_id', $machine->id)->orderBy('at')->get(['document', 'digest', 'signature']);

        return array_values($rows->map(fn (\stdClass $row): \stdClass => (object) (
            ['entry' => json_decode($row->document, false, 512, JSON_THROW_ON_ERROR), 'digest' => $row->digest]
            + ($row->signature === '' ? [] : ['signature' => $row->signature])
        ))->all());
    }
}
