<?php

declare(strict_types=1);

namespace IronStart\Core\Survey;

use IronStart\Core\Check\Input;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Status;

/** What somebody has to arrange before a way in is taken: left for a person to own, settled by the lift day's entry. */
final class Arrangements
{
    /** Before a crane is up. */
    public const LIFT = ['permit', 'quiet', 'ground', 'signals'];
    /** What a step of a route has to be asked for. */
    private const STEPS = ['lift_car' => 'elevator', 'hatch' => 'hatch'];

    /**
     * @param list<Finding> $findings of the lift
     * @return list<Effect>
     */
    public static function ofLift(array $findings): array
    {
        return self::goes($findings) ? array_map(fn (string $kind): Effect => Effect::leaves($kind), self::LIFT) : [];
    }

    /**
     * @param list<Finding> $findings of the route
     * @return list<Effect>
     */
    public static function ofRoute(Input $in, array $findings): array
    {
        $left = [];
        foreach (self::goes($findings) ? $in->items('steps') : [] as $step) {
            $kind = self::STEPS[$step->text('kind')] ?? null;
            if ($kind !== null) {
                $left[] = Effect::leaves($kind, $step->text('name'));
            }
        }

        return $left;
    }

    /**
     * Nothing is arranged for a way that is not taken.
     *
     * @param list<Finding> $findings
     */
    private static function goes(array $findings): bool
    {
        return array_filter($findings, fn (Finding $one): bool => in_array($one->status, [Status::Stop, Status::Open], true)) === [];
    }
}
