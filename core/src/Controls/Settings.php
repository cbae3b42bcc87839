<?php

declare(strict_types=1);

namespace IronStart\Core\Controls;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/** Settings as found, for the test, and as left, against what is required; what the owner asked for has its initials. */
final class Settings implements Check
{
    public function id(): string
    {
        return 'controls.settings';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [Field::items(
            'items',
            Field::text('name')->structural()->fromSheet('name'),
            Field::word('kind', 'exact', 'within', 'one_of')->structural()->fromSheet('kind'),
            Field::raw('required')->fromSheet('required'),
            Field::raw('found'),
            Field::raw('test'),
            Field::raw('left'),
            Field::raw('tolerance'),
            Field::texts('allowed'),
            Field::flag('must')->default(true),
            Field::text('reason'),
            Field::text('initials'),
        )->uniqueBy('name')->needed()->fromSheet('controls.settings')];
    }

    public function contradictions(Input $in): iterable
    {
        foreach ($in->items('items') as $i => $item) {
            yield from self::errors($item, "items.$i");
        }
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: [Finding::note('basis')]);
        }
        $findings = [];
        $count = ['differences' => 0, 'asked_for' => 0, 'unset' => 0];
        foreach ($in->items('items') as $item) {
            $found = self::judged($item);
            $codes = array_map(fn (Finding $f): string => explode(':', $f->code, 2)[0], $found);
            $count['unset'] += array_intersect($codes, ['unset', 'not_left']) === [] ? 0 : 1;
            $count['asked_for'] += in_array('asked_for', $codes, true) ? 1 : 0;
            $count['differences'] += array_filter($found, fn (Finding $f): bool => $f->status === Status::Watch) === [] ? 0 : 1;
            $findings = [...$findings, ...$found];
        }
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = Finding::note('as_required', ['count' => count($in->items('items'))]);
        }

        return new Judgement($findings, array_map(fn (int $n): Value => Value::of((float) $n, '1'), $count), basis: [Finding::note('basis')], sets: self::sets($in, $findings));
    }

    /** @return iterable<InputError> values of another kind than what is required, tolerances that are none */
    private static function errors(Input $item, string $path): iterable
    {
        $of = fn (string $name): ?Setting => Setting::of($item->parsed($name));
        $base = $of('required') ?? ($item->given('test') ? $of('test') : null);
        if ($item->text('kind') !== 'within' || $base === null) {
            return;
        }
        if (! $base->isNumber()) {
            $name = $of('required') === null ? 'test' : 'required';
            yield InputError::at("$path.$name", self::written($item->parsed($name)), 'a number, or one with its unit', 'is no figure');

            return;
        }
        foreach (['left', 'test', 'found'] as $name) {
            $other = $of($name);
            if ($other !== null && (! $other->isNumber() || $other->kind !== $base->kind)) {
                yield InputError::at("$path.$name", self::written($item->parsed($name)), 'a figure of the same kind, with its unit', 'is of another kind than what is required');
            }
        }
        try {
            $base->tolerance($item->parsed('tolerance'), "$path.tolerance");
        } catch (InputError $error) {
            yield $error;
        }
    }

    private static function written(mixed $raw): string|int|float|bool|null
    {
        return is_scalar($raw) ? $raw : null;
    }

    /** @return list<Finding> */
    private static function judged(Input $item): array
    {
        $name = $item->text('name');
        $said = ['name' => $name];
        [$required, $left, $test] = [Setting::of($item->parsed('required')), Setting::of($item->parsed('left')), Setting::of($item->parsed('test'))];
        $isOneOf = $item->text('kind') === 'one_of';
        $isMust = $item->flag('must');
        $isSet = $required !== null || $isOneOf;
        $findings = $isSet || ! $isMust ? [] : [Finding::open("unset:$name", $said)];
        if (! $isSet && $test === null) {
            return $findings;
        }
        if ($left === null) {
            return [...$findings, ...($isMust || ! $isSet ? [Finding::open("not_left:$name", $said)] : [])];
        }
        $isOk = $isSet && ($isOneOf
            ? array_filter($item->words('allowed'), fn (string $one): bool => Setting::of($one)?->same($left) === true) !== []
            : self::equal($item, $left, $required ?? $left));
        $isTest = $test !== null && ! $isOk && self::equal($item, $left, $test);
        $isAsked = $item->all('reason', 'initials');
        if (($isSet && ! $isOk) || $isTest) {
            $findings = [...$findings, ...($isAsked ? [Finding::clear("asked_for:$name", $said)] : ($isSet ? [Finding::watch("differs:$name", $said)] : []))];
        }

        return [...$findings, ...($isTest ? [$isAsked ? Finding::clear("left_in_test:$name", $said) : Finding::watch("left_in_test:$name", $said)] : [])];
    }

    private static function equal(Input $item, Setting $left, Setting $other): bool
    {
        return $item->text('kind') === 'within' && $other->isNumber()
            ? $left->within($other, $other->tolerance($item->parsed('tolerance'), 'tolerance'))
            : $left->same($other);
    }

    /**
     * Set points of a test are put back like a jumper.
     *
     * @param list<Finding> $findings
     * @return list<Effect>
     */
    private static function sets(Input $in, array $findings): array
    {
        if (Judgement::worst($findings) === Status::Clear) {
            return [Effect::closes(PutBackKind::ControllerTest)];
        }
        $tested = array_filter($in->items('items'), fn (Input $item): bool => $item->given('test'));

        return $tested === [] ? [] : [Effect::opens(PutBackKind::ControllerTest)];
    }
}
