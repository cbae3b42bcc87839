<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Word;

/**
 * Addresses before power-up: each once on its bus, and on its box where they count per box, in the sheet's range; boxes
 * set before they are powered; as many found as there are; one main controller in a group. Each part is judged by itself.
 *
 * Source: the ranges are the sheet's; the rest is what makers' commissioning papers have in common.
 */
final class Addresses implements Check, DrawsOnRecord
{
    private const KINDS = ['outdoor', 'box', 'indoor'];

    public function id(): string
    {
        return 'vrf.addresses';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $range = fn (string $kind): Field => Field::group(
            $kind,
            Field::count('min')->fromSheet("vrf.address_ranges.$kind.min")->structural(),
            Field::count('max')->fromSheet("vrf.address_ranges.$kind.max")->structural(),
        );

        return [
            Field::items(
                'devices',
                Field::text('id', 20)->structural(),
                Field::word('kind', ...self::KINDS)->structural(),
                Field::text('bus', 20)->default('1'),
                Field::text('box', 20),
                Field::count('address'),
                Field::text('group', 60),
                Field::flag('main')->default(false),
            )->needed(),
            Field::group('ranges', ...array_map($range, self::KINDS)),
            Field::flag('powered')->needed(),
            Field::group('found', ...array_map(fn (string $kind): Field => Field::count($kind, 0, 10_000), self::KINDS)),
        ];
    }

    /** As they were set last; else everything of the tree that has an address. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $set = $past->last('vrf.addresses', $subject)['input']['devices'] ?? null;
        $devices = is_array($set) ? $set : AsDrawn::devices($past);

        return $devices === [] ? [] : ['devices' => $devices];
    }

    public function contradictions(Input $in): iterable
    {
        $seen = [];
        $boxes = array_map(fn (Input $one): string => $one->text('id'), self::of($in, 'box'));
        foreach ($in->items('devices') as $i => $device) {
            if (isset($seen[$device->text('id')])) {
                yield InputError::at("devices.$i.id", $device->text('id'), 'a name that is not used twice', 'is used twice');
            }
            $seen[$device->text('id')] = true;
            if ($boxes !== [] && $device->given('box') && ! in_array($device->text('box'), $boxes, true)) {
                yield new InputError("devices.$i.box", $device->text('box'), implode(', ', $boxes), "devices.$i.box: there is no box {$device->text('box')}. Enter: " . implode(', ', $boxes) . '.');
            }
        }
        foreach (self::KINDS as $kind) {
            $range = $in->group('ranges')?->group($kind);
            if ($range !== null && $range->all('min', 'max') && $range->int('max') < $range->int('min')) {
                yield new InputError("ranges.$kind.max", $range->int('max'), 'no less than min', "ranges.$kind.max: it is less than min. Look whether the two are swapped.");
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $findings = [...self::doubles($in), ...self::outside($in), ...self::unset($in), ...self::counted($in), ...self::groups($in), ...self::unboxed($in), ...Missing::in($in)];
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = Finding::note('addressed', ['count' => count($in->items('devices'))]);
        }

        return new Judgement($findings, cautions: ['lockout', 'qualified_electrical'], basis: [Finding::note('basis')]);
    }

    /** @return list<Input> */
    private static function of(Input $in, string $kind): array
    {
        return array_values(array_filter($in->items('devices'), fn (Input $one): bool => $one->text('kind') === $kind));
    }

    /** @return list<Finding> of each that has the address of one before it */
    private static function doubles(Input $in): array
    {
        $found = $first = [];
        foreach ($in->items('devices') as $device) {
            if (! $device->given('address')) {
                continue;
            }
            $kind = $device->text('kind');
            $place = implode("\n", [$device->text('bus'), $kind, $kind === 'indoor' ? $device->text('box') : '', $device->int('address')]);
            $other = $first[$place] ??= $device->text('id');
            if ($other !== $device->text('id')) {
                $found[] = Finding::stop("duplicate:$other,{$device->text('id')}", ['one' => $other, 'other' => $device->text('id'), 'address' => $device->int('address')]);
            }
        }

        return $found;
    }

    /** @return list<Finding> */
    private static function outside(Input $in): array
    {
        $found = [];
        foreach ($in->items('devices') as $device) {
            $range = $in->group('ranges')?->group($device->text('kind'));
            if ($range !== null && $device->given('address') && ($device->int('address') < $range->int('min') || $device->int('address') > $range->int('max'))) {
                $found[] = Finding::stop("out_of_range:{$device->text('id')}", ['id' => $device->text('id'), 'address' => $device->int('address'), 'min' => $range->int('min'), 'max' => $range->int('max')]);
            }
        }

        return $found;
    }

    /** @return list<Finding> */
    private static function unset(Input $in): array
    {
        $unset = array_filter($in->items('devices'), fn (Input $one): bool => ! $one->given('address'));
        $boxes = array_filter($unset, fn (Input $one): bool => $one->text('kind') === 'box');

        return [
            ...($in->flag('powered') && $boxes !== [] ? [Finding::stop('powered_before_set')] : []),
            ...array_map(fn (Input $one): Finding => Finding::open("not_set:{$one->text('id')}", ['id' => $one->text('id')]), array_values($unset)),
        ];
    }

    /** @return list<Finding> where the outdoor unit counts others than there are */
    private static function counted(Input $in): array
    {
        $found = [];
        foreach ($in->given('devices') ? self::KINDS : [] as $kind) {
            $counts = $in->group('found');
            $there = count(self::of($in, $kind));
            if ($counts === null || ! $counts->given($kind) || $counts->int($kind) === $there) {
                continue;
            }
            $code = $counts->int($kind) < $there ? 'found_fewer' : 'found_more';
            $found[] = Finding::stop("$code:$kind", ['kind' => Word::of('vrf_kind', $kind), 'found' => $counts->int($kind), 'there' => $there]);
        }

        return $found;
    }

    /** @return list<Finding> */
    private static function groups(Input $in): array
    {
        $groups = [];
        foreach (self::of($in, 'indoor') as $unit) {
            if ($unit->given('group')) {
                $groups[$unit->text('group')][] = $unit->flag('main');
            }
        }
        $found = [];
        foreach ($groups as $name => $mains) {
            $count = count(array_filter($mains));
            if ($count > 1) {
                $found[] = Finding::stop("two_mains:$name", ['group' => (string) $name, 'count' => $count]);
            } elseif ($count === 0 && count($mains) > 1) {
                $found[] = Finding::open("no_main:$name", ['group' => (string) $name]);
            }
        }

        return $found;
    }

    /** @return list<Finding> of each indoor unit that names no box, on a bus where another names one */
    private static function unboxed(Input $in): array
    {
        $buses = array_map(fn (Input $one): string => $one->text('bus'), array_filter(self::of($in, 'indoor'), fn (Input $one): bool => $one->given('box')));
        $found = [];
        foreach ($in->items('devices') as $i => $device) {
            if ($device->text('kind') === 'indoor' && ! $device->given('box') && in_array($device->text('bus'), $buses, true)) {
                $found[] = Missing::at("devices.$i.box", $device->text('id'));
            }
        }

        return $found;
    }
}
