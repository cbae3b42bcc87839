<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;

/**
 * A VRF module in the mode that holds its electronic valves open, so that no part is shut off from the vacuum: which
 * ones, since when with power on without a break, and out of it again. Power that goes off ends the mode, and each
 * valve it held is to be opened anew.
 */
final class ServiceMode implements Check, DrawsOnRecord
{
    public const ID = 'entry.service_mode';

    public function id(): string
    {
        return self::ID;
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $on = fn (Input $in): bool => $in->flag('on');

        return [
            Field::text('module')->needed(),
            Field::flag('on')->needed(),
            Field::texts('held')->neededWhen($on),
            Field::moment('power_since')->neededWhen($on),
            Field::flag('lost'),
            self::modesField(),
        ];
    }

    /** The modes that are on or were lost as the record has them, brought into whatever may end one. */
    public static function modesField(): Field
    {
        return Field::items('modes', Field::text('module')->structural(), Field::texts('held'), Field::flag('lost')->default(false))->broughtIn();
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        return self::modes($past);
    }

    /**
     * Each module that is in the mode or lost it: a clear lockout of the machine, or a breaker found tripped, ends all.
     *
     * @return array{modes?: list<array{module: string, held: list<string>, lost: bool}>} nothing where there is none
     */
    public static function modes(Past $past): array
    {
        $modes = [];
        foreach ($past->inOrder(self::ID, 'power.lockout', BreakerTripped::ID) as $one) {
            $module = is_string($one['input']['module'] ?? null) ? $one['input']['module'] : '';
            if ($one['check'] !== self::ID) {
                $isOff = $one['check'] === BreakerTripped::ID || ($one['status'] === 'clear' && $one['subject'] === 'machine');
                $modes = $isOff ? array_map(fn (array $mode): array => ['lost' => true] + $mode, $modes) : $modes;
            } elseif (($one['input']['on'] ?? null) === true) {
                $held = is_array($one['input']['held'] ?? null) ? $one['input']['held'] : [];
                $modes[$module] = ['lost' => false, 'module' => $module, 'held' => array_values(array_filter($held, is_string(...)))];
            } elseif (($one['input']['lost'] ?? null) === true) {
                $modes = isset($modes[$module]) ? [$module => ['lost' => true] + $modes[$module]] + $modes : $modes;
            } elseif (($one['input']['on'] ?? null) === false) {
                unset($modes[$module]);
            }
        }

        return $modes === [] ? [] : ['modes' => array_values(array_map(fn (array $mode): array => ['module' => $mode['module'], 'held' => $mode['held'], 'lost' => $mode['lost']], $modes))];
    }

    /**
     * What power that goes off does to the modes that are on: each is over, and each valve it held is to be opened anew.
     *
     * @return array{list<Finding>, list<Effect>}
     */
    public static function ended(Input $in): array
    {
        $findings = $sets = [];
        foreach ($in->items('modes') as $mode) {
            if (! $mode->flag('lost')) {
                $findings[] = Finding::clear('service_lost:' . $mode->text('module'), ['module' => $mode->text('module')]);
                $sets = [...$sets, ...self::lost($mode->text('module'), $mode->words('held'))];
            }
        }

        return [$findings, $sets];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->flag('on') && $in->flag('lost')) {
            yield new InputError('lost', true, 'on, or lost', 'lost: a mode that is on was not lost. If power was off, enter it as off and lost, then once more as on.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['never_run_in_vacuum', 'no_insulation_test_in_vacuum', 'asphyxiation', 'lockout'];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), [], false, $cautions, [Finding::note('basis')]);
        }
        $module = $in->text('module');
        $before = self::before($in, $module);
        $held = $before?->words('held') ?? [];
        [$findings, $sets] = match (true) {
            $in->flag('on') => self::on($in, $module),
            $in->flag('lost') => [[Finding::watch('lost', ['module' => $module])], self::lost($module, [...$held, ...$in->words('held')])],
            $before === null => [[Finding::watch('was_not_on', ['module' => $module])], []],
            default => [
                [$before->flag('lost') ? Finding::watch('ended_lost', ['module' => $module]) : Finding::clear('off', ['module' => $module])],
                [Effect::closes(PutBackKind::ServiceMode, $module)],
            ],
        };

        return new Judgement($findings, [], false, $cautions, [Finding::note('basis')], sets: $sets);
    }

    /** @return array{list<Finding>, list<Effect>} */
    private static function on(Input $in, string $module): array
    {
        $held = $in->words('held');
        $since = $in->moment('power_since');

        return [
            [Finding::clear('on', ['module' => $module, 'held' => implode(', ', $held), 'since' => $since === null ? '' : $since->said($since)])],
            [Effect::opens(PutBackKind::ServiceMode, $module), ...array_map(fn (string $valve): Effect => Effect::closes(PutBackKind::HeldValve, "$module $valve"), $held)],
        ];
    }

    private static function before(Input $in, string $module): ?Input
    {
        foreach ($in->items('modes') as $mode) {
            if ($mode->text('module') === $module) {
                return $mode;
            }
        }

        return null;
    }

    /**
     * @param list<string> $held
     * @return list<Effect>
     */
    private static function lost(string $module, array $held): array
    {
        return [
            Effect::closes(PutBackKind::ServiceMode, $module),
            ...array_map(fn (string $valve): Effect => Effect::opens(PutBackKind::HeldValve, "$module $valve"), array_values(array_unique($held))),
        ];
    }
}
