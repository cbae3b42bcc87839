<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** Cautions that hang on the job and not on the check. */
final class JobCautions
{
    /** Gates on whose first screen a job on a roof is reminded of the roof. */
    private const ON_THE_ROOF = [1, 2, 3, 8];
    /** Checks at which a lead that is off and taped can be touched. */
    public const AT_FREED_LEADS = ['refrigerant.way_out', 'dry.decay'];

    /**
     * What the job adds to what a check owes by itself.
     *
     * @param string       $base      what it is about: `machine`, `loaded`, `old_disconnect`
     * @param list<string> $facts     of the job
     * @param bool         $wireFreed a wire is off and taped, and not back yet
     * @param bool         $inverter  a motor of the machine hangs on a drive
     * @return list<string>
     */
    public static function of(string $check, string $base, JobType $type, array $facts, bool $wireFreed = false, bool $inverter = false): array
    {
        $roof = in_array('on_roof', $facts, true) && array_intersect(CheckTable::belongs($check, $base, range(1, 12), false), self::ON_THE_ROOF) !== [];
        $leads = match (true) {
            in_array($check, self::AT_FREED_LEADS, true) => $wireFreed,
            $check === 'piping.purge' => $inverter || $type === JobType::Vrf,
            default => false,
        };
        $carries = match ($check) {
            'compressor.windings', 'compressor.acid' => $type === JobType::Compressor || in_array('module_change', $facts, true),
            'list.set' => ! in_array('craned', $facts, true),
            default => false,
        };

        return [...($roof ? ['roof_edge', 'heat_stress'] : []), ...($carries ? ['manual_handling'] : []), ...($leads ? ['freed_leads'] : [])];
    }
}
