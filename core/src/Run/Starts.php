<?php

declare(strict_types=1);

namespace IronStart\Core\Run;

use IronStart\Core\Check\Input;
use IronStart\Core\Check\Moment;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/** The starts of one compressor: how many within the hour, how long it rested, how long it turned backwards. */
final readonly class Starts
{
    /** min */
    private const WITHIN = 60.0;
    /** s a compressor of this kind stands turning backwards. */
    private const BACKWARDS = ['scroll' => 60.0, 'screw' => 5.0];

    private Input $last;
    /** @var list<Input> its starts in the order of time */
    private array $own;

    /** @param list<Input> $steps */
    public function __construct(array $steps, int $at, private Input $in, private Moment $now)
    {
        $this->last = $steps[$at];
        $this->own = array_values(array_filter($steps, fn (Input $one): bool => $one->text('name') === $this->last->text('name') && $one->given('started')));
    }

    /**
     * @param array<string, Value> $values gets starts, minutes until the next one, seconds backwards
     * @return list<Finding>
     */
    public function found(array &$values): array
    {
        if (! Step::isCompressor($this->last)) {
            return [];
        }
        $name = $this->last->text('name');
        $limit = $this->in->int('starts_per_hour');
        $ago = array_values(array_filter(array_map(fn (Input $one): float => $this->ago($one, 'started'), $this->own), fn (float $minutes): bool => Limit::under($minutes, self::WITHIN)));
        $count = count($ago);
        $values["starts:$name"] = Value::of($count, '1');
        $found = $count > $limit ? [Finding::watch("too_many_starts:$name", ['name' => $name, 'count' => $count, 'limit' => $limit])] : [];
        if ($this->restedShort()) {
            $found[] = Finding::watch("short_rest:$name", ['name' => $name, 'rest' => Said::duration($this->in->number('rest'))]);
        }
        if ($this->last->given('stopped')) {
            $waits = [0.0, $this->in->minutes('rest') - $this->ago($this->last, 'stopped'), ...($count >= $limit ? [self::WITHIN - $ago[$count - $limit]] : [])];
            $wait = max($waits);
            $values["may_start_in:$name"] = Value::of($wait, 'min');
            if (Limit::over($wait, 0.0) && $this->last->text('seen') !== 'good') {
                $found[] = Finding::open("rest:$name", ['name' => $name, 'left' => Said::duration(60 * $wait)]);
            }
        }

        return [...$found, ...$this->backwards($name, $values)];
    }

    /**
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private function backwards(string $name, array &$values): array
    {
        $seconds = 0.0;
        foreach ($this->own as $one) {
            if (Step::isBackwards($one)) {
                $seconds += 60 * ($this->ago($one, 'started') - ($one->given('stopped') ? $this->ago($one, 'stopped') : 0.0));
            }
        }
        if ($seconds <= 0.0) {
            return [];
        }
        $values["backwards_time:$name"] = Value::of($seconds, 's');
        $limit = self::BACKWARDS[$this->last->text('kind')] ?? INF;

        return Limit::over($seconds, $limit) ? [Finding::watch("ran_backwards:$name", ['name' => $name, 'time' => Said::duration($seconds)])] : [];
    }

    private function restedShort(): bool
    {
        foreach ($this->own as $i => $one) {
            $stopped = $i > 0 ? $this->own[$i - 1]->moment('stopped') : null;
            $started = $one->moment('started');
            if ($stopped !== null && $started !== null && Limit::under($this->ago($one, 'started'), self::WITHIN) && Limit::under($stopped->until($started), $this->in->number('rest'))) {
                return true;
            }
        }

        return false;
    }

    /** @return float min before now */
    private function ago(Input $step, string $when): float
    {
        return ($step->moment($when)?->until($this->now) ?? 0.0) / 60;
    }
}
