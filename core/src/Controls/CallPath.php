<?php

declare(strict_types=1);

namespace IronStart\Core\Controls;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Where a call stops: 24 V is found or lost between two points, and the part between them is the answer. Live and dead are
 * told against the source and not against zero, for ghosts of a few volts.
 *
 * Limits: a 24 V coil must pull in at 85 %, most hold on to 75 % (control devices); a fifth of the source is dead.
 */
final class CallPath implements Check, Draws
{
    use NoContradictions;

    private const LIVE_AGAIN = 0.5;
    private const HOLDS = 0.75;
    private const PULLS_IN = 0.85;
    private const FALL = 0.1;
    private const DRAGGED = 0.75;
    private const METER = 0.01;

    public function id(): string
    {
        return 'controls.call_path';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::flag('call_on')->needed(),
            Field::volts('nominal', 5, 240)->default('24 V')->readWith(null)->fromSheet('electrical.transformer.secondary_nominal'),
            Field::items(
                'points',
                Field::text('name')->structural(),
                Field::word('kind', 'safety', 'other')->default('other'),
                Field::volts('volts', 0, 600)->needed(),
                Field::flag('closed'),
            )->uniqueBy('name')->needed(),
            Field::volts('idle', 0, 600),
            Field::flag('fuse_blown'),
            Field::flag('pulled_in')->needed(),
            Field::volts('across_coil', 0, 600),
        ];
    }

    public static function drawing(Input $in, array $values): array
    {
        $points = array_filter($in->items('points'), fn (Input $point): bool => $point->given('volts'));
        $dead = $values['first_dead']->value ?? '';

        return count($points) < 2 ? [] : Drawn::bars('V', array_values(array_map(fn (Input $point): array => ['name' => $point->text('name'), 'value' => $point->number('volts'), 'is' => $point->text('name') === $dead ? 'stop' : 'plain'], $points)));
    }

    public function judge(Input $in): Judgement
    {
        $points = $in->items('points');
        $missing = [...Missing::in($in), ...(count($points) === 1 ? [Missing::at('points.1', '')] : [])];
        if ($missing !== []) {
            return $this->judgement($missing);
        }
        if (! $in->flag('call_on')) {
            return $this->judgement([Finding::open('no_call')]);
        }
        $source = $points[0]->number('volts');
        $nominal = $in->number('nominal');
        if (Limit::under($source, Path::DEAD * $nominal)) {
            return $this->judgement([Finding::stop('no_source', ['volts' => Said::volts($source)]), ...($in->flag('fuse_blown') ? [Finding::stop('shorted', [], 'shorted_fuse')] : [])]);
        }
        $path = new Path($points, $source);
        $values = [];
        $drop = $path->largestDrop();
        if ($drop !== null) {
            $values += ['largest_drop' => Value::of($drop[0], 'V'), 'largest_drop_at' => Value::text($drop[1])];
        }
        $values['last_live'] = Value::text($path->lastLive());
        $isDragged = $in->given('idle') && Limit::under($source, self::DRAGGED * $in->number('idle'));
        $found = [...self::source($source, $nominal, $isDragged), ...self::along($points, $path, $source, $nominal)];
        $dead = $path->firstDead;
        if ($dead !== null) {
            $values['first_dead'] = Value::text($points[$dead]->text('name'));
            $found = [...$found, ...self::broken($in, $points, $dead, $source, $isDragged)];

            return $this->judgement($found, $values);
        }
        $last = $points[count($points) - 1]->number('volts');
        $values['drop'] = Value::of($source - $last, 'V');
        $of = fn (float $share): array => [...$found, ...self::coil($in, $last * $share, $source, $nominal)];
        $findings = $of(1.0);
        $status = Judgement::worst($findings);
        $isMarginal = Judgement::worst($of(1 + self::METER)) !== $status || Judgement::worst($of(1 - self::METER)) !== $status;
        if ($in->flag('pulled_in') && $status !== Status::Stop) {
            $findings[] = Finding::clear('call_reaches', ['volts' => Said::volts($last)]);
        }

        return $this->judgement($findings, $values, $isMarginal);
    }

    /** @return list<Finding> */
    private static function source(float $source, float $nominal, bool $isDragged): array
    {
        $said = ['volts' => Said::volts($source)];

        return [...($isDragged ? [Finding::stop('shorted', $said)] : []), ...match (true) {
            Limit::under($source, self::HOLDS * $nominal) => [Finding::stop('source_low', $said)],
            Limit::under($source, self::PULLS_IN * $nominal) => [Finding::watch('source_low', $said)],
            default => [],
        }];
    }

    /**
     * @param list<Input> $points
     * @return list<Finding> of the live ones: what is jumped, what falls
     */
    private static function along(array $points, Path $path, float $source, float $nominal): array
    {
        $found = [];
        foreach ($path->live as $i) {
            $name = $points[$i]->text('name');
            if ($i > 0 && $points[$i]->given('closed') && ! $points[$i]->flag('closed') && ! Limit::under($points[$i]->number('volts'), self::LIVE_AGAIN * $source)) {
                $found[] = Finding::stop("bypassed:$name", ['name' => $name]);
            }
        }
        foreach ($path->drops() as [$drop, $name]) {
            if (Limit::over($drop, self::FALL * $nominal)) {
                $found[] = Finding::watch("drop_at:$name", ['name' => $name, 'drop' => Said::volts($drop)]);
            }
        }

        return $found;
    }

    /**
     * @param list<Input> $points
     * @return list<Finding>
     */
    private static function broken(Input $in, array $points, int $dead, float $source, bool $isDragged): array
    {
        $point = $points[$dead];
        $name = $point->text('name');
        $said = ['name' => $name, 'before' => $points[$dead - 1]->text('name')];
        $found = [match (true) {
            $isDragged => Finding::stop("dead_at:$name", ['name' => $name]),
            $point->given('closed') && $point->flag('closed') => Finding::stop("wire_open:$name", $said),
            $point->text('kind') === 'safety' => Finding::stop("safety_open:$name", ['name' => $name]),
            default => Finding::stop("open_at:$name", $said),
        }];
        foreach (array_slice($points, $dead + 1) as $later) {
            if (! Limit::under($later->number('volts'), self::LIVE_AGAIN * $source)) {
                $found[] = Finding::stop("live_again:{$later->text('name')}", ['name' => $later->text('name')]);
            }
        }

        return [...$found, ...($in->flag('pulled_in') ? [Finding::stop('held_in')] : [])];
    }

    /** @return list<Finding> */
    private static function coil(Input $in, float $last, float $source, float $nominal): array
    {
        $said = ['volts' => Said::volts($last)];
        $found = match (true) {
            Limit::under($last, self::HOLDS * $nominal) => [Finding::stop('coil_low', $said)],
            Limit::under($last, self::PULLS_IN * $nominal) => [Finding::watch('coil_low', $said)],
            default => [],
        };
        if ($in->flag('pulled_in')) {
            return $found;
        }
        if (! $in->given('across_coil')) {
            return [...$found, Missing::at('across_coil', '')];
        }
        $across = $in->number('across_coil');
        $said = ['volts' => Said::volts($across)];

        return match (true) {
            Limit::under($across, Path::DEAD * $source) => [...$found, Finding::stop('open_common', $said)],
            ! Limit::under($across, self::HOLDS * $nominal) => [...$found, Finding::stop('coil_dead', $said)],
            default => [...array_filter($found, fn (Finding $one): bool => $one->code !== 'coil_low'), Finding::stop('coil_low', $said)],
        };
    }

    /**
     * @param list<Finding>        $findings
     * @param array<string, Value> $values
     */
    private function judgement(array $findings, array $values = [], bool $isMarginal = false): Judgement
    {
        return new Judgement($findings, $values, $isMarginal, ['qualified_electrical', 'bypassed_safety', 'hand_on_contactor'], [Finding::note('basis')]);
    }
}
