<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Check\Past;
use IronStart\Core\Entry\ServiceMode;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Caution;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether it is dead: lock and tag named, tester proved before and after, every reading gone.
 *
 * With the unit's own disconnect locked open its line side stays live; who works there needs the lock
 * upstream, whatever the meter reads on the load side.
 */
final class Lockout implements Check, DrawsOnRecord
{
    use NoContradictions;

    private const AC_READINGS = ['volts_ab', 'volts_bc', 'volts_ca', 'volts_ag', 'volts_bg', 'volts_cg'];
    /** V; more is live. */
    private const DEAD_AC = 1.0;
    /** V DC. */
    private const DEAD_BUS = 10.0;
    /** V; up to here a long conduit can induce it into an ordinary meter … */
    private const INDUCED = 50.0;
    /** … but a control circuit at this is fed from elsewhere. */
    private const CONTROL_LIVE = 15.0;

    public function id(): string
    {
        return 'power.lockout';
    }

    public function version(): int
    {
        return 2;
    }

    public function fields(): array
    {
        $three = fn (Input $in): bool => $in->number('phases') === 3.0;
        $stored = fn (Input $in): bool => $in->flag('stored_energy') || $in->given('bus_volts') || $in->given('waited') || $in->given('sheet_wait');

        return [
            Field::text('lock_id')->needed(),
            Field::text('tag_name')->needed()->startsAsReader(),
            Field::flag('tester_proved_before')->needed(),
            Field::flag('tester_proved_after')->needed(),
            Field::volts('volts_ab')->needed(),
            Field::volts('volts_bc')->neededWhen($three),
            Field::volts('volts_ca')->neededWhen($three),
            Field::volts('volts_ag')->needed(),
            Field::volts('volts_bg')->needed(),
            Field::volts('volts_cg')->neededWhen($three),
            Field::volts('control_volts'),
            Field::volts('bus_volts', 0, 1500)->neededWhen($stored),
            Field::quantity('waited', Kind::Time, 'h', 0, 24)->startsIn('min')->neededWhen($stored),
            Field::quantity('sheet_wait', Kind::Time, 'h', 0, 24)->startsIn('min')->neededWhen($stored)->fromSheet('electrical.bus_wait'),
            Field::flag('stored_energy')->fromSheet('electrical.stored_energy'),
            Field::choice('phases', 1, 3)->default(3)->fromSheet('electrical.phases'),
            Field::word('lock_at', 'unit_disconnect', 'upstream')->default('unit_disconnect')->toldToRecord(),
            Field::word('work_at', 'load_side', 'line_side')->default('load_side')->toldToRecord(),
            Field::flag('low_impedance'),
            Field::count('supplies', 1, 6)->default(1)->fromSheet('electrical.supplies'),
            Field::items('sources', Field::text('name')->structural(), Field::text('lock_id'), Field::flag('dead'))->uniqueBy('name'),
            ServiceMode::modesField(),
        ];
    }

    /** A service mode that is on does not outlast the power; the old disconnect is another unit's. */
    public static function bringsIn(Past $past, string $subject): array
    {
        return $subject === 'machine' ? ServiceMode::modes($past) : [];
    }

    public function judge(Input $in): Judgement
    {
        $readings = [];
        foreach ([...self::AC_READINGS, 'control_volts'] as $name) {
            $readings = [...$readings, ...array_filter([$name => $in->maybe($name)], is_float(...))];
        }
        $bus = $in->maybe('bus_volts');
        $findings = self::dangers($in, $readings, $bus);
        if ($findings === []) {
            $findings = self::unproved($in);
        }
        if ($findings === []) {
            $findings[] = Finding::note('dead', ['highest' => Said::volts(max([0.0, ...array_values($readings)])), 'lock' => $in->text('lock_id'), 'who' => $in->text('tag_name')]);
        }
        $values = [];
        if ($readings !== []) {
            $values['highest_reading'] = Value::of(max($readings), 'V');
        }
        if ($bus !== null) {
            $values['bus'] = Value::of($bus, 'V');
        }
        if ($in->all('waited', 'sheet_wait')) {
            $values['wait_left'] = Value::of(max(0.0, $in->number('sheet_wait') - $in->number('waited')) / 60, 'min');
        }
        $cautions = ['lockout', ...Caution::LIVE, 'remote_start', 'ladder', 'attic', 'insects'];
        if ($bus !== null || $in->flag('stored_energy')) {
            $cautions[] = 'stored_energy';
        }

        // A clear lockout leaves a lock hanging, which somebody must take off.
        if (Judgement::worst($findings) !== Status::Clear) {
            return new Judgement($findings, $values, false, $cautions, [Finding::note('basis')]);
        }
        [$ended, $sets] = ServiceMode::ended($in);

        return new Judgement([...$findings, ...$ended], $values, false, $cautions, [Finding::note('basis')], sets: [Effect::opens(PutBackKind::Lock), ...$sets]);
    }

    /**
     * @param array<string, float> $readings
     * @return list<Finding>
     */
    private static function dangers(Input $in, array $readings, ?float $bus): array
    {
        $busLive = $bus !== null && Limit::over($bus, self::DEAD_BUS);
        $live = array_values(array_filter($in->items('sources'), fn (Input $source): bool => $source->given('dead') && ! $source->flag('dead')));
        $findings = [];
        // Where the lock hangs comes first: with it in the wrong place the readings tell nothing.
        if ($in->text('work_at') === 'line_side' && $in->text('lock_at') === 'unit_disconnect') {
            $findings[] = Finding::stop('line_side_live');
        }
        $highest = max([0.0, ...array_values($readings)]);
        if (Limit::over($highest, self::DEAD_AC)) {
            $said = ['volts' => Said::volts($highest, self::DEAD_AC), 'limit' => Said::volts(self::DEAD_AC)];
            $induced = $live === [] && ! $busLive && ! $in->flag('low_impedance') && ! Limit::over($highest, self::INDUCED)
                && Limit::under($in->maybe('control_volts') ?? 0.0, self::CONTROL_LIVE);
            $findings[] = Finding::stop($induced ? 'maybe_induced' : 'still_live', $said);
        }
        if ($busLive) {
            $findings[] = Finding::stop('still_live', ['volts' => Said::volts($bus, self::DEAD_BUS), 'limit' => Said::volts(self::DEAD_BUS)], 'bus_live');
        }
        foreach ($live as $source) {
            $findings[] = Finding::stop('still_live', ['name' => $source->text('name')], 'source_live');
            $findings[] = Finding::stop('live:' . $source->text('name'), ['name' => $source->text('name')]);
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function unproved(Input $in): array
    {
        $missing = array_flip($in->missing);
        foreach (['tester_proved_before', 'tester_proved_after'] as $proof) {
            if (! $in->flag($proof)) {
                $missing[$proof] = true;
            }
        }
        $order = array_map(fn (Field $f): string => $f->name, (new self())->fields());
        $findings = array_map(Missing::at(...), array_values(array_filter($order, fn (string $name): bool => isset($missing[$name]))));
        if ($in->all('waited', 'sheet_wait') && Limit::under($in->number('waited'), $in->number('sheet_wait'))) {
            $findings[] = Finding::open('wait_not_over', ['left' => Said::duration($in->number('sheet_wait') - $in->number('waited'))]);
        }

        return [...$findings, ...self::furtherSupplies($in)];
    }

    /**
     * One lock makes one supply dead: each further one has its own, and is read where it ends.
     *
     * @return list<Finding>
     */
    private static function furtherSupplies(Input $in): array
    {
        $sources = $in->items('sources');
        $findings = count($sources) < $in->int('supplies') - 1 ? [Missing::at('sources')] : [];
        $locks = [$in->text('lock_id') => true];
        foreach ($sources as $source) {
            foreach (['lock_id', 'dead'] as $name) {
                if (! $source->given($name)) {
                    $findings[] = Missing::at($source->path . $name, $source->text('name'));
                }
            }
            $lock = $source->text('lock_id');
            if ($lock !== '' && isset($locks[$lock]) && $in->text('lock_at') !== 'upstream') {
                $findings[] = Finding::open('same_lock:' . $source->text('name'), ['name' => $source->text('name'), 'lock' => $lock]);
            }
            $locks[$lock] = true;
        }

        return $findings;
    }
}
