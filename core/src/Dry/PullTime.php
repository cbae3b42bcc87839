<?php

declare(strict_types=1);

namespace IronStart\Core\Dry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Site;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/** When a dry circuit will be down, and what its hoses cost: an estimate, no promise for a wet one. */
final class PullTime implements Check, Draws
{
    private const MOST_HOSES = 20;

    public function id(): string
    {
        return 'dry.pull_time';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $hoses = Field::items(
            'hoses',
            Field::length('bore', 'in', 0, 10)->positive()->takesFractions()->startsIn('in')->structural(),
            Field::length('length', 'm', 0, 100)->positive()->startsIn('ft')->structural(),
            Field::count('count', 1, self::MOST_HOSES)->default(1),
            Field::flag('core_removed')->structural(),
        );
        $pressure = fn (string $name): Field => Field::quantity($name, Kind::AbsolutePressure, 'Pa', 0, 120_000)->readWith(null)->startsIn('micron');

        return [
            Field::quantity('volume', Kind::Volume, 'm3', 0, 100)->positive()->readWith(null)->needed(),
            Field::quantity('pump_speed', Kind::AirFlow, 'm3/h', 0, 10_000)->positive()->readWith(null)->needed(),
            $pressure('pump_ultimate')->default('50 micron'),
            $hoses,
            Field::items('alternatives', Field::text('name')->structural(), $hoses)->uniqueBy('name'),
            ...Site::fields(),
            $pressure('start')->positive(),
            $pressure('target')->positive()->needed(),
            Field::quantity('outgassing', Kind::LeakRate, 'Pa.m3/s', 0)->readWith(null)->default('0 Pa.m3/s'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->given('target') && $in->number('target') >= self::start($in)) {
            yield new InputError('target', $in->number('target'), 'a vacuum deeper than the start', 'target: it has to be deeper than where it starts. Enter the vacuum to pull to.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        $pull = self::pull($in, $in->items('hoses'));
        $alone = self::pull($in, []);
        $time = $pull->minutes(self::start($in), $in->number('target'));
        $aloneTime = $alone->minutes(self::start($in), $in->number('target'));
        $values = [];
        if ($aloneTime !== null) {
            $values['time_pump_alone'] = Value::of($aloneTime, 'min');
        }
        if ($time === null) {
            return new Judgement([Finding::stop('unreachable', ['target' => Said::micron($in->number('target'))])], $values, basis: $basis);
        }
        $values += ['time' => Value::of($time, 'min'), 'effective_speed_at_target' => Value::of($pull->speed($in->number('target')), 'L/s')];
        $findings = [Finding::note('down_in', ['time' => Said::duration(60 * $time), 'target' => Said::micron($in->number('target'))])];
        if ($aloneTime !== null) {
            $values['hose_factor'] = Value::of($time / $aloneTime, '1');
            $findings[] = Finding::note('hoses_cost', ['times' => Said::number($time / $aloneTime, 1), 'alone' => Said::duration(60 * $aloneTime)]);
        }
        foreach ($in->items('alternatives') as $other) {
            $its = self::pull($in, $other->items('hoses'))->minutes(self::start($in), $in->number('target'));
            if ($its !== null) {
                $values["time:{$other->text('name')}"] = Value::of($its, 'min');
                $findings[] = Finding::note('with_others', ['name' => $other->text('name'), 'time' => Said::duration(60 * $its)]);
            }
        }

        return new Judgement($findings, $values, basis: $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        return isset($values['time']) ? Drawn::curve('Pa', self::pull($in, $in->items('hoses'))->course(self::start($in), $in->number('target')), [['word' => 'pull_to', 'value' => $in->number('target'), 'is' => 'watch']], ['micron', 'micron'], byDecades: true) : [];
    }

    /** @param list<Input> $hoses */
    private static function pull(Input $in, array $hoses): PullDown
    {
        return new PullDown(
            1e3 * $in->number('volume'),
            $in->number('pump_speed') / 3.6,
            $in->number('pump_ultimate') / 100,
            array_map(fn (Input $hose): array => ['bore' => 100 * $hose->number('bore'), 'length' => 100 * $hose->number('length'), 'count' => $hose->int('count'), 'core' => ! $hose->flag('core_removed')], $hoses),
            10 * $in->number('outgassing'),
        );
    }

    private static function start(Input $in): float
    {
        return $in->maybe('start') ?? Site::pressure($in);
    }
}
