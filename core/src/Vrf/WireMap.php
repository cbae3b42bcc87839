<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Power\PlateVoltage;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Conductors from both ends, before anything is energized: power and signal apart, a polar bus the right way, shields,
 * ports on the zone of their pipes, legs alike, each supply against its plate. Each part is judged by itself.
 *
 * Limits: makers' installation papers (0.9 of the lowest to 1.1 of the highest plate volts).
 */
final class WireMap implements Check, Draws
{
    private const LOW = 0.9;
    private const HIGH = 1.1;
    private const KINDS = ['power', 'signal', 'earth'];

    public function id(): string
    {
        return 'vrf.wire_map';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $end = fn (string $name): Field => Field::items($name, Field::text('terminal', 20)->structural(), Field::text('colour', 30)->structural())->needed();

        return [
            Field::items('terminals', Field::text('name', 20)->structural(), Field::word('kind', ...self::KINDS)->structural())->uniqueBy('name')->needed(),
            Field::items(
                'circuits',
                Field::text('name', 60)->structural(),
                Field::flag('polar')->default(false),
                Field::word('carries', 'power', 'signal', 'both')->default('both'),
                $end('near'),
                $end('far'),
                Field::group('shield', Field::flag('near_grounded')->needed(), Field::flag('far_grounded')->needed()),
            )->uniqueBy('name')->needed(),
            Field::items('ports', Field::text('port', 60)->structural(), Field::text('wire_zone', 60)->needed(), Field::text('pipe_zone', 60)->needed())->uniqueBy('port'),
            Field::items('feeds', Field::text('box', 60)->structural(), Field::text('legs', 20)->structural())->uniqueBy('box'),
            Field::items('supplies', Field::text('name', 60)->structural(), Field::parsed('plate_voltage', PlateVoltage::parse(...))->structural(), Field::volts('volts')->needed())->uniqueBy('name'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $kinds = self::kinds($in);
        foreach ($in->given('terminals') ? $in->items('circuits') : [] as $i => $circuit) {
            foreach (['near', 'far'] as $end) {
                foreach ($circuit->items($end) as $j => $conductor) {
                    $terminal = $conductor->text('terminal');
                    if (! isset($kinds[$terminal])) {
                        $path = "circuits.$i.$end.$j.terminal";
                        yield new InputError($path, $terminal, implode(', ', array_keys($kinds)), "$path: there is no such terminal. Enter: " . implode(', ', array_keys($kinds)) . '.');
                    }
                }
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $kinds = self::kinds($in);
        $findings = Missing::in($in);
        $values = [];
        foreach ($kinds === [] ? [] : $in->items('circuits') as $circuit) {
            array_push($findings, ...(new Conductors($circuit, $kinds))->findings());
        }
        foreach ($in->items('ports') as $port) {
            if ($port->all('wire_zone', 'pipe_zone') && ! self::isSame($port->text('wire_zone'), $port->text('pipe_zone'))) {
                $findings[] = Finding::stop("zone_mismatch:{$port->text('port')}", ['port' => $port->text('port'), 'wire' => $port->text('wire_zone'), 'pipe' => $port->text('pipe_zone')]);
            }
        }
        $legs = array_unique(array_map(fn (Input $feed): string => mb_strtolower((string) preg_replace('/\s+/', '', $feed->text('legs'))), $in->items('feeds')));
        if (count($legs) > 1) {
            $findings[] = Finding::stop('feeds_differ');
        }
        foreach ($in->items('supplies') as $supply) {
            array_push($findings, ...self::supply($supply, $values));
        }
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = Finding::note('mapped', ['count' => count($in->items('circuits'))]);
        }

        return new Judgement($findings, $values, false, ['lockout', 'qualified_electrical'], [Finding::note('basis')]);
    }

    public static function drawing(Input $in, array $values): array
    {
        $kinds = self::kinds($in);
        $circuits = [];
        foreach ($kinds === [] ? [] : $in->items('circuits') as $circuit) {
            $circuits[] = ['name' => $circuit->text('name')] + (new Conductors($circuit, $kinds))->drawn();
        }

        return $circuits === [] ? [] : ['shape' => 'wires', 'circuits' => $circuits];
    }

    /**
     * @param array<string, Value> $values gets what the plate allows
     * @return list<Finding>
     */
    private static function supply(Input $supply, array &$values): array
    {
        $plate = $supply->parsed('plate_voltage');
        if (! $plate instanceof PlateVoltage || ! $supply->given('volts')) {
            return [];
        }
        $name = $supply->text('name');
        [$low, $high, $volts] = [self::LOW * $plate->nominals[0], self::HIGH * $plate->nominals[count($plate->nominals) - 1], $supply->number('volts')];
        $values += ["volts_min:$name" => Value::of($low, 'V'), "volts_max:$name" => Value::of($high, 'V')];
        $isRight = ! Limit::under($volts, $low) && ! Limit::over($volts, $high);

        return $isRight ? [] : [Finding::stop("wrong_supply:$name", ['name' => $name, 'volts' => Said::volts($volts), 'low' => Said::volts($low)->bare(), 'high' => Said::volts($high)])];
    }

    /** @return array<string, string> kind by terminal */
    private static function kinds(Input $in): array
    {
        $kinds = [];
        foreach ($in->items('terminals') as $terminal) {
            $kinds[$terminal->text('name')] = $terminal->text('kind');
        }

        return $kinds;
    }

    private static function isSame(string $one, string $other): bool
    {
        return mb_strtolower(trim($one)) === mb_strtolower(trim($other));
    }
}
