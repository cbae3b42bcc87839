<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether the disconnect is right for the machine: in sight, large enough, and with the protection its plate asks for.
 *
 * Limits: in sight within 50 ft, 115 % of the load, horsepower, "max fuse" means fuses (electrical code and product
 * listing).
 */
final class Disconnect implements Check
{
    /** m */
    private const IN_SIGHT = 15.24;
    private const RATING = 1.15;
    private const CLASSES = ['RK1', 'RK5', 'J', 'CC', 'T', 'H', 'K5', 'slug'];
    /** Classes that do as well, or better. */
    private const DOES = [
        'RK1' => ['RK1'], 'RK5' => ['RK5', 'RK1'], 'J' => ['J'], 'CC' => ['CC'], 'T' => ['T'], 'K5' => ['K5', 'RK5', 'RK1'], 'H' => ['H', 'K5', 'RK5', 'RK1'],
    ];
    /** Good for 10 kA only. */
    private const LOW = ['H', 'K5'];

    public function id(): string
    {
        return 'power.disconnect';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $asksMark = fn (Input $in): bool => $in->text('plate_says') === 'max_fuse_or_hacr' && $in->text('protected_by') === 'breaker';

        return [
            Field::flag('in_sight')->needed(),
            Field::length('distance', 'm', 0, 300),
            Field::word('kind', 'fused_switch', 'switch', 'breaker')->needed(),
            Field::amps('rating')->positive()->readWith(null)->needed(),
            Field::amps('load_amps')->positive()->readWith(null)->needed()->fromSheet('electrical.load_amps'),
            Field::number('needed_hp', 0, 2000)->positive(),
            Field::number('switch_hp', 0, 2000)->positive()->neededWhen(fn (Input $in): bool => $in->given('needed_hp')),
            Field::amps('mocp')->positive()->readWith(null)->needed()->fromSheet('electrical.mocp'),
            Field::word('plate_says', 'max_fuse', 'max_fuse_or_hacr', 'max_fuse_or_breaker')->needed()->fromSheet('electrical.plate_says'),
            Field::word('protected_by', 'fuse', 'breaker')->needed(),
            Field::amps('device_size')->positive()->readWith(null)->needed(),
            Field::flag('hacr')->neededWhen($asksMark),
            Field::word('fuse_class', ...self::CLASSES)->neededWhen(fn (Input $in): bool => $in->text('protected_by') === 'fuse'),
            Field::word('plate_class', ...array_map(strval(...), array_keys(self::DOES)))->fromSheet('electrical.plate_class'),
            Field::flag('fuses_alike'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->text('kind') === 'fused_switch' && $in->text('protected_by') === 'breaker') {
            yield InputError::at('protected_by', 'breaker', 'fuse, with a fused switch', 'does not go with a fused switch, which is the last device itself');
        }
    }

    public function judge(Input $in): Judgement
    {
        $values = [];
        if ($in->given('load_amps')) {
            $values['rating_needed'] = Value::of(self::RATING * $in->number('load_amps'), 'A');
        }
        if ($in->all('device_size', 'mocp')) {
            $values['device_share'] = Value::of(100 * $in->number('device_size') / $in->number('mocp'), '%');
        }
        $findings = [...Missing::in($in), ...self::switch($in), ...self::device($in), ...self::fuses($in)];
        if (Judgement::worst($findings) === Status::Clear) {
            $findings = [Finding::note('right', ['rating' => Said::amps($in->number('rating')), 'device' => Said::amps($in->number('device_size'))])];
        }
        $cautions = ['local_code', ...($in->text('fuse_class') === 'slug' ? ['lockout', 'arc_flash'] : [])];

        return new Judgement($findings, $values, false, $cautions, [Finding::note('basis')]);
    }

    /** @return list<Finding> */
    private static function switch(Input $in): array
    {
        $found = [];
        $isFar = $in->given('distance') && Limit::over($in->number('distance'), self::IN_SIGHT);
        if ($isFar || ($in->given('in_sight') && ! $in->flag('in_sight'))) {
            $found[] = Finding::stop('not_in_sight');
        }
        if ($in->all('rating', 'load_amps') && Limit::under($in->number('rating'), self::RATING * $in->number('load_amps'))) {
            $found[] = Finding::stop('rating_short', ['rating' => Said::amps($in->number('rating')), 'needed' => Said::amps(self::RATING * $in->number('load_amps'))]);
        }
        if ($in->all('needed_hp', 'switch_hp') && Limit::under($in->number('switch_hp'), $in->number('needed_hp'))) {
            $found[] = Finding::stop('hp_short', ['has' => Said::number($in->number('switch_hp')), 'needed' => Said::number($in->number('needed_hp'))]);
        }

        return $found;
    }

    /** @return list<Finding> */
    private static function device(Input $in): array
    {
        $found = [];
        if ($in->all('device_size', 'mocp') && Limit::over($in->number('device_size'), $in->number('mocp'))) {
            $found[] = Finding::stop('over_mocp', ['device' => Said::amps($in->number('device_size')), 'mocp' => Said::amps($in->number('mocp'))]);
        }
        $isBreaker = $in->text('protected_by') === 'breaker';
        if ($isBreaker && $in->text('plate_says') === 'max_fuse') {
            $found[] = Finding::stop('fuse_required');
        }
        if ($isBreaker && $in->text('plate_says') === 'max_fuse_or_hacr' && $in->given('hacr') && ! $in->flag('hacr')) {
            $found[] = Finding::watch('hacr_not_marked');
        }

        return $found;
    }

    /** @return list<Finding> */
    private static function fuses(Input $in): array
    {
        $class = $in->text('fuse_class');
        $found = $class === 'slug' ? [Finding::stop('slug')] : [];
        if ($class !== '' && $class !== 'slug' && $in->given('plate_class') && ! in_array($class, self::DOES[$in->text('plate_class')], true)) {
            $found[] = Finding::stop('wrong_fuse_class', ['class' => $class, 'plate' => $in->text('plate_class')]);
        }
        if (in_array($class, self::LOW, true) && ! $in->given('plate_class')) {
            $found[] = Finding::watch('fuse_class_low', ['class' => $class]);
        }
        if ($in->text('kind') === 'fused_switch' && $in->all('device_size', 'rating') && Limit::over($in->number('device_size'), $in->number('rating'))) {
            $found[] = Finding::stop('fuse_over_switch', ['device' => Said::amps($in->number('device_size')), 'rating' => Said::amps($in->number('rating'))]);
        }
        if ($in->given('fuses_alike') && ! $in->flag('fuses_alike')) {
            $found[] = Finding::stop('fuses_differ');
        }

        return $found;
    }
}
