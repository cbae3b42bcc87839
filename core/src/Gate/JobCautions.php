<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** Cautions that hang on the job and not on the check. */
final class JobCautions
{
    /** Gates on whose first screen a job on a roof is reminded of the roof. */
    private const ON_THE_ROOF = [1, 2, 3, 8];

    /**
     * What the job adds to what a check owes by itself.
     *
     * @param list<int>    $gates the gates the check is worked at
     * @param list<string> $facts of the job
     * @return list<string>
     */
    public static function of(string $check, array $gates, JobType $type, array $facts): array
    {
        $roof = in_array('on_roof', $facts, true) && array_intersect($gates, self::ON_THE_ROOF) !== [];
        $carries = match ($check) {
            'compressor.windings', 'compressor.acid' => $type === JobType::Compressor || in_array('module_change', $facts, true),
            'list.set' => ! in_array('craned', $facts, true),
            default => false,
        };

        return [...($roof ? ['roof_edge', 'heat_stress'] : []), ...($carries ? ['manual_handling'] : [])];
    }
}
