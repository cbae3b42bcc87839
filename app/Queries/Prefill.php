<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Models\User;
use Illuminate\Cache\CacheManager;
use Illuminate\Support\Collection;
use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\FieldType;
use IronStart\Core\Check\Past;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Gate\Recorded;
use IronStart\Core\Judge\Judge;
use IronStart\Core\Sheet\EquipmentSheet;
use IronStart\Core\Sheet\TypedOver;
use IronStart\Core\Vrf\AsDrawn;

/**
 * What the input of a check starts with: figures of the equipment sheet, what was recorded before, the job, the person.
 * The fields of the checks say themselves what fills them.
 *
 * What a sheet gives is kept by its content: to work it out, every field of every check is made.
 *
 * @phpstan-type Given array{figures: array<string, array<string, array<string, mixed>>>, plate: array<string, array<string, array<string, string>>>, else: array<string, array<string, string>>}
 */
final class Prefill
{
    private const AT_THE_OLD_DISCONNECT = ['power.supply_identity', 'power.circuit', 'power.lockout'];
    /** At the old disconnect the sheet of the new unit says nothing of it. */
    private const OF_THE_OLD_UNIT = 'power.lockout';
    /** Of what comes out, which is the unit of the sheet only where the unit stays. */
    private const COMES_OUT = ['refrigerant.way_out', 'refrigerant.rebound', 'refrigerant.cylinder', 'refrigerant.account', 'compressor.acid'];
    private const OF_EACH_CIRCUIT = ['piping.purge', 'piping.flare_torque', 'piping.bulb', 'piping.equivalent_length', 'tight.hold', 'dry.log', 'dry.decay',
        'run.standing_pressure', 'charge.weigh_in', 'charge.state', 'charge.trim', 'charge.target_superheat', 'charge.orifice', 'diagnose.cooling'];

    /** What may be shut off is tried section by section. */
    private const BY_SECTION = 'tight.hold';
    /** Of a system it is read at one indoor unit after the other. */
    private const BY_INDOOR = 'air.split';

    /** It sets the new one beside the one the sheet is of. */
    private const OF_THE_OLD_COMPRESSOR = 'compressor.match';

    /** Its answers come out of the record of the other checks. */
    private const FORM = 'entry.maker_form';

    /** m */
    private const FOOT = 0.3048;

    /** s that what a sheet comes to is kept. */
    private const KEPT = 2_592_000;

    /** @var array<string, Given> what sheets give, by their content */
    private array $given = [];

    public function __construct(private readonly Judge $judge, private readonly FormAnswers $form, private readonly CacheManager $cache)
    {
    }

    /**
     * @param Collection<int, \stdClass> $rows of the tape
     * @return array<string, array<string, array<string, mixed>>> by check and subject
     */
    public function of(Machine $machine, User $person, Past $past, Collection $rows): array
    {
        $filled = [];
        ['figures' => $figures, 'else' => $else] = $this->given($machine, $past);
        foreach ($figures as $id => $subjects) {
            $check = $this->judge->registry->get($id);
            $ofReader = self::ofReader($else[$id] ?? [], $machine, $person);
            if ($id === self::BY_SECTION) {
                $subjects += self::sections($subjects, $past->parts($id));
            }
            if ($id === self::BY_INDOOR) {
                $subjects += array_fill_keys(array_map(fn (string $unit): string => "indoor:$unit", AsDrawn::indoor($past)), []);
            }
            foreach ($subjects as $subject => $fromSheet) {
                $input = self::brought($check, $fromSheet + $ofReader, $past, $subject);
                if ($input !== []) {
                    $filled[$id][$subject] = $input;
                }
            }
        }

        if (isset($filled[self::FORM]['machine'])) {
            $answers = $this->form->of($machine, $rows);
            $filled[self::FORM]['machine']['items'] = array_map(fn (array $item): array => $item + (isset($answers[$item['name']]) ? ['answer' => $answers[$item['name']]] : []), $filled[self::FORM]['machine']['items']);
        }

        return $filled;
    }

    /**
     * What the sheet alone gives to a check about a subject.
     *
     * @return array<string, mixed>
     */
    public static function fromSheet(Check $check, Machine $machine, Past $past, string $subject): array
    {
        if (in_array($check->id(), self::COMES_OUT, true) && self::isReplaced($machine)) {
            return [];
        }
        $plates = $past->newCompressors();

        return self::filled($check->id(), $check->fields(), Standings::sheet($machine)->renewed($check->id() === self::OF_THE_OLD_COMPRESSOR ? self::others($plates, $subject) : $plates), $subject);
    }

    /**
     * An input with what the record gives to it: what is never typed is taken from the record alone, the rest where
     * nothing was given.
     *
     * @param array<string, mixed> $input
     * @return array<string, mixed>
     */
    public static function brought(Check $check, array $input, Past $past, string $subject): array
    {
        if (! $check instanceof DrawsOnRecord) {
            return $input;
        }
        $brought = $check::bringsIn($past, $subject);
        foreach ($check->fields() as $field) {
            if ($field->type === FieldType::Items && $field->uniqueBy === 'id' && ! isset($input[$field->name]) && is_array($brought[$field->name] ?? null)) {
                // Items that are walked by their id are there without anybody having typed them.
                $input[$field->name] = array_map(fn (string $id, mixed $members): array => ['id' => $id] + (is_array($members) ? $members : []), array_keys($brought[$field->name]), array_values($brought[$field->name]));
            } elseif ($field->goesOn && is_array($brought[$field->name] ?? null)) {
                $input[$field->name] = self::goingOn(array_values($brought[$field->name]), (array) ($input[$field->name] ?? []), $past->motorsOut());
            } elseif ($field->type === FieldType::Items && is_array($input[$field->name] ?? null)) {
                $input[$field->name] = self::items($field, $input[$field->name], (array) ($brought[$field->name] ?? []));
            } elseif (isset($brought[$field->name]) && ($field->type !== FieldType::Items || (is_array($brought[$field->name]) && array_is_list($brought[$field->name])))) {
                $input[$field->name] = $field->brought ? $brought[$field->name] : ($input[$field->name] ?? $brought[$field->name]);
            }
        }

        return $input;
    }

    /** @return array<string, array<string, array<string, string>>> figures of the sheet by check, subject and field */
    public function plate(Machine $machine, Past $past): array
    {
        return $this->given($machine, $past)['plate'];
    }

    /** @return Given */
    private function given(Machine $machine, Past $past): array
    {
        $plates = $past->newCompressors();
        $given = $this->ofSheet($machine, $plates);
        foreach (array_keys($plates) as $name) {
            $subject = "compressor:$name";
            $beside = $this->ofSheet($machine, self::others($plates, $subject));
            foreach (['figures', 'plate'] as $of) {
                $given[$of][self::OF_THE_OLD_COMPRESSOR][$subject] = $beside[$of][self::OF_THE_OLD_COMPRESSOR][$subject] ?? [];
            }
        }
        if (! self::isReplaced($machine)) {
            return $given;
        }
        foreach (self::COMES_OUT as $check) {
            $given['figures'][$check] = array_map(fn (): array => [], $given['figures'][$check] ?? []);
            unset($given['plate'][$check]);
        }

        return $given;
    }

    /**
     * What the old one is matched by: its own plate, and those of the new ones beside it.
     *
     * @param array<string, array<array-key, mixed>> $plates
     * @return array<string, array<array-key, mixed>>
     */
    private static function others(array $plates, string $subject): array
    {
        return array_diff_key($plates, [substr($subject, strlen('compressor:')) => 1]);
    }

    /** Whether another unit comes out than the one the sheet is of. */
    private static function isReplaced(Machine $machine): bool
    {
        $job = $machine->job;

        return ! $job->start_up_only && $job->type !== JobType::Compressor->value && ! in_array('module_change', $job->facts, true);
    }

    /**
     * @param array<string, array<array-key, mixed>> $plates of new compressors
     * @return Given
     */
    private function ofSheet(Machine $machine, array $plates): array
    {
        $key = 'sheet.' . md5(config('iron.build') . "\n" . json_encode([$machine->loadMissing('sheet')->sheet->body ?? [], $plates], JSON_THROW_ON_ERROR));

        return $this->given[$key] ??= $this->cache->store('sheets')->remember($key, self::KEPT, fn (): array => $this->workedOut(Standings::sheet($machine)->renewed($plates)));
    }

    /** @return Given */
    private function workedOut(EquipmentSheet $sheet): array
    {
        $given = ['figures' => [], 'plate' => [], 'else' => []];
        foreach (array_diff($this->judge->registry->ids(), ['job.gates']) as $id) {
            $fields = $this->judge->registry->get($id)->fields();
            $given['else'][$id] = array_filter(array_column(array_map(fn (Field $field): array => [$field->name, self::filler($field)], $fields), 1, 0), fn (string $filler): bool => $filler !== '');
            foreach (self::subjects($id, $sheet) as $subject) {
                $given['figures'][$id][$subject] = self::filled($id, $fields, $sheet, $subject);
                $plate = TypedOver::figures($fields, $given['figures'][$id][$subject]);
                if ($plate !== []) {
                    $given['plate'][$id][$subject] = $plate;
                }
            }
        }

        return $given;
    }

    /** What fills a field that neither the sheet nor the record fills; '' for nothing. */
    private static function filler(Field $field): string
    {
        return match (true) {
            $field->ofJob => 'job',
            $field->ofReader => 'reader',
            $field->ofSite => 'site',
            default => '',
        };
    }

    /**
     * @param list<Field> $fields
     * @return array<string, mixed>
     */
    private static function filled(string $id, array $fields, EquipmentSheet $sheet, string $subject): array
    {
        return $id === self::OF_THE_OLD_UNIT && $subject === 'old_disconnect' ? [] : $sheet->fill($fields, $subject);
    }

    /**
     * @param array<array-key, mixed> $items
     * @param array<array-key, mixed> $brought members by the item's name
     * @return list<mixed>
     */
    private static function items(Field $field, array $items, array $brought): array
    {
        $never = array_map(fn (Field $f): string => $f->name, array_filter($field->fields, fn (Field $f): bool => $f->brought));

        return array_values(array_map(function (mixed $item) use ($field, $never, $brought): mixed {
            if (! is_array($item)) {
                return $item;
            }
            $name = $item[$field->uniqueBy ?? 'name'] ?? '';
            $mine = $brought[is_string($name) ? $name : ''] ?? [];

            $mine = is_array($mine) ? array_filter($mine, fn (mixed $v): bool => $v !== []) : [];

            // What is never typed is the record's alone; the rest only where nothing was said.
            return array_intersect_key($mine, array_flip($never)) + array_diff_key($item, array_flip($never)) + $mine;
        }, $items));
    }

    /**
     * A list in which one thing may stand several times: what was recorded of it, then what is to come, without what is
     * out of service.
     *
     * @param list<mixed>             $recorded
     * @param array<array-key, mixed> $known
     * @param list<string>            $out
     * @return list<mixed>
     */
    private static function goingOn(array $recorded, array $known, array $out): array
    {
        $never = [...array_column($recorded, 'name'), ...$out];
        $toCome = array_filter($known, fn (mixed $item): bool => ! is_array($item) || isset($item['started']) && $recorded === [] || ! in_array($item['name'] ?? '', $never, true));

        return [...$recorded, ...array_values($toCome)];
    }

    /**
     * What the sheet gives to each section that was tried, and to one that has no name yet (`circuit:A/`).
     *
     * @param array<string, array<string, mixed>> $wholes by subject
     * @param list<string> $parts
     * @return array<string, array<string, mixed>>
     */
    private static function sections(array $wholes, array $parts): array
    {
        $sections = [];
        foreach ([...array_map(fn (string $whole): string => "$whole/", array_keys($wholes)), ...$parts] as $part) {
            $sections[$part] = $wholes[Recorded::baseOf($part)] ?? [];
        }

        return $sections;
    }

    /**
     * @param array<string, string> $fillers by field
     * @return array<string, mixed>
     */
    private static function ofReader(array $fillers, Machine $machine, User $person): array
    {
        $altitude = $machine->job->site->altitude_m;
        $by = array_filter([
            'job' => $machine->job->type,
            'reader' => $person->name,
            // Sea level is what a site says of which nobody said anything.
            'site' => $altitude === 0.0 ? null : ['value' => round($altitude / self::FOOT), 'unit' => 'ft'],
        ], fn (mixed $told): bool => $told !== null);

        return array_filter(array_map(fn (string $filler): mixed => $by[$filler] ?? null, $fillers), fn (mixed $told): bool => $told !== null);
    }

    /** @return list<string> */
    private static function subjects(string $check, EquipmentSheet $sheet): array
    {
        return match (true) {
            $check === 'power.voltage' => ['machine', 'loaded'],
            $check === 'vrf.topology' => ['planned', 'built'],
            in_array($check, self::AT_THE_OLD_DISCONNECT, true) => ['machine', 'old_disconnect'],
            $check === 'compressor.acid' => ['machine'],
            in_array($check, self::OF_EACH_CIRCUIT, true) => array_map(fn (array $c): string => "circuit:{$c['name']}", $sheet->circuits()) ?: ['machine'],
            str_starts_with($check, 'compressor.') => array_merge([], ...array_map(fn (array $c): array => array_map(fn (string $name): string => "compressor:$name", $c['compressors']), $sheet->circuits())) ?: ['machine'],
            default => ['machine'],
        };
    }
}
