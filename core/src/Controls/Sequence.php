<?php

declare(strict_types=1);

namespace IronStart\Core\Controls;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/** Each call against what came on, and what let go when it was gone. */
final class Sequence implements Check
{
    public const CALLS = ['fan', 'cool1', 'cool2', 'heat1', 'heat2', 'economizer', 'ventilation', 'dehumidify', 'emergency_heat', 'defrost', 'emergency_off'];
    private const COOLS = ['cool1', 'cool2'];
    private const HEATS = ['heat1', 'heat2', 'emergency_heat'];
    /** Of these eyes are enough. */
    private const SEEN = ['fan', 'economizer', 'ventilation'];
    /** min after which air that stays the same means something. */
    private const EFFECT = 10.0;
    private const DELAY = 5.0;

    public function id(): string
    {
        return 'controls.sequence';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $tried = fn (Input $in): bool => ! $in->given('blocked');
        $minutes = fn (string $name): Field => Field::quantity($name, Kind::Time, 'min', 0, 600)->bareIn('min')->readWith(null);
        $isOff = fn (Input $in): bool => $in->text('call') === 'emergency_off';

        return [
            Field::words('has', ...self::CALLS)->fromSheet('sequence.has', true)->needed(),
            Field::flag('heat_pump')->fromSheet('controls.heat_pump')->default(false),
            Field::items(
                'calls',
                Field::word('call', ...self::CALLS)->structural()->fromSheet('call'),
                Field::text('blocked'),
                Field::texts('expected')->orNone()->fromSheet('expected')->neededWhen(fn (Input $in): bool => $tried($in) && ! $isOff($in)),
                Field::texts('seen')->orNone()->neededWhen($tried),
                $minutes('minutes')->neededWhen($tried),
                $minutes('delay')->fromSheet('delay'),
                Field::word('proved_by', 'amps', 'temperature', 'eyes')->neededWhen(fn (Input $in): bool => $tried($in) && ! $isOff($in)),
                Field::word('air', 'warmer', 'cooler', 'same'),
                Field::texts('allowed')->orNone(),
                Field::texts('after')->orNone(),
                $minutes('after_minutes'),
                $minutes('off_delay'),
            )->uniqueBy('call')->needed()->fromSheet('sequence.calls', true),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        foreach ($in->items('calls') as $i => $call) {
            if ($call->text('call') === 'emergency_off' && $call->words('expected') !== []) {
                yield new InputError("calls.$i.expected", null, 'nothing: it stops everything', "calls.$i.expected: an emergency stop brings nothing on. Leave it empty.");
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $missing = [...Missing::in($in), ...self::afterMissing($in)];
        $cautions = ['qualified_electrical', 'rotating_parts'];
        $basis = [Finding::note('basis')];
        $has = $in->words('has');
        $called = array_map(fn (Input $c): string => $c->text('call'), $in->items('calls'));
        if ($in->missing !== []) {
            return new Judgement($missing, cautions: $cautions, basis: $basis);
        }
        $findings = $missing;
        foreach ($in->items('calls') as $call) {
            $findings = [...$findings, ...self::call($in, $call)];
        }
        foreach (array_diff($has, $called) as $one) {
            $findings[] = Finding::open("not_tried:$one", ['call' => Word::of('call', $one)]);
        }
        foreach (array_diff($called, $has) as $one) {
            $findings[] = Finding::clear("not_listed:$one", ['call' => Word::of('call', $one)]);
        }
        $isProved = array_filter($findings, fn (Finding $f): bool => in_array($f->status, [Status::Stop, Status::Open], true)) === [];
        $tried = array_filter($in->items('calls'), fn (Input $c): bool => ! $c->given('blocked') && in_array($c->text('call'), $has, true));
        $values = ['tried' => Value::of((float) count($tried), '1'), 'of' => Value::of((float) count($has), '1')];

        return new Judgement([...$findings, ...($isProved ? [Finding::clear('sequence_proved', ['count' => count($tried)])] : [])], $values, false, $cautions, $basis);
    }

    /** @return list<Finding> */
    private static function call(Input $in, Input $call): array
    {
        $name = $call->text('call');
        $word = ['call' => Word::of('call', $name)];
        if ($call->given('blocked')) {
            return [Finding::open("blocked:$name", $word + ['why' => $call->text('blocked')])];
        }
        $allowed = $call->words('allowed');
        $isOff = $name === 'emergency_off';
        $delay = $call->in('delay', 'min') ?? ($isOff ? 0.0 : self::DELAY);
        $minutes = (float) $call->in('minutes', 'min');
        if ($isOff) {
            $still = self::without($call->words('seen'), $allowed);

            return match (true) {
                $still === [] => [],
                $minutes < $delay => [Finding::open("wait:$name", [], 'wait_off_call')],
                default => array_map(fn (string $output): Finding => Finding::stop("ran_on:$output", ['output' => $output]), $still),
            };
        }
        $expected = $call->words('expected');
        $lacking = self::without($expected, $call->words('seen'));
        $findings = [];
        foreach ($expected === [] ? [] : self::without($call->words('seen'), [...$expected, ...$allowed]) as $output) {
            $findings[] = Finding::stop("wrong_output:$name:$output", $word + ['output' => $output]);
        }
        if ($lacking !== []) {
            $findings = [...$findings, ...($minutes < $delay
                ? [Finding::open("wait:$name", $word + ['left' => Said::duration(60 * ($delay - $minutes))])]
                : array_map(fn (string $output): Finding => Finding::stop("missing_output:$name:$output", $word + ['output' => $output]), $lacking))];
        }

        return [...$findings, ...self::air($in, $call, $name, $minutes, $delay), ...self::released($call, $name, $allowed)];
    }

    /** @return list<Finding> what the air says of it, and how it was seen */
    private static function air(Input $in, Input $call, string $name, float $minutes, float $delay): array
    {
        $word = ['call' => Word::of('call', $name)];
        $air = $call->text('air');
        $isWrong = (in_array($name, self::COOLS, true) && $air === 'warmer') || (in_array($name, self::HEATS, true) && $air === 'cooler');
        $isSense = $in->flag('heat_pump') && $name !== 'emergency_heat';

        return [
            ...($isWrong ? [Finding::stop($isSense ? "ob_sense:$name" : "wrong_air:$name", $word)] : []),
            ...($air === 'same' && $minutes >= $delay && $minutes >= self::EFFECT && in_array($name, [...self::COOLS, ...self::HEATS], true) ? [Finding::watch("no_effect:$name", $word)] : []),
            ...($call->text('proved_by') === 'eyes' && ! in_array($name, self::SEEN, true) ? [Finding::watch("seen_only:$name", $word)] : []),
        ];
    }

    /**
     * @param list<string> $allowed
     * @return list<Finding>
     */
    private static function released(Input $call, string $name, array $allowed): array
    {
        $word = ['call' => Word::of('call', $name)];
        if (! $call->given('after')) {
            return [Finding::watch("release_not_seen:$name", $word)];
        }
        $still = self::without($call->words('after'), $allowed);
        $waited = $call->in('after_minutes', 'min');
        if ($still === [] || $waited === null) {
            return [];
        }

        return $waited > ($call->in('off_delay', 'min') ?? self::DELAY)
            ? array_map(fn (string $output): Finding => Finding::stop("stays_on:$name:$output", $word + ['output' => $output]), $still)
            : [Finding::open("wait_off:$name", $word)];
    }

    /** @return list<Finding> */
    private static function afterMissing(Input $in): array
    {
        $found = [];
        foreach ($in->items('calls') as $i => $call) {
            if (! $call->given('blocked') && $call->text('call') !== 'emergency_off' && self::without($call->words('after'), $call->words('allowed')) !== [] && ! $call->given('after_minutes')) {
                $found[] = Missing::at("calls.$i.after_minutes", $call->text('call'));
            }
        }

        return $found;
    }

    /**
     * Compared without case and outer blanks.
     *
     * @param list<string> $these
     * @param list<string> $those
     * @return list<string>
     */
    private static function without(array $these, array $those): array
    {
        $plain = fn (string $one): string => mb_strtolower(trim($one));
        $known = array_map($plain, $those);

        return array_values(array_filter($these, fn (string $one): bool => ! in_array($plain($one), $known, true)));
    }
}
