<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Past;
use IronStart\Core\Core;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Judgement;

/** Judges inputs as they come off the wire. */
trait Judges
{
    /** @param array<string, mixed> $input */
    private static function judge(string $check, array $input): Judgement
    {
        return Core::judge()->judge($check, $input, 'us')->judgement;
    }

    /**
     * @param array<string, mixed> $input
     * @return array{string, list<string>}
     */
    private static function found(string $check, array $input): array
    {
        $judgement = self::judge($check, $input);

        return [$judgement->status->value, $judgement->codes()];
    }

    /** @param array<string, mixed> $input */
    private static function figure(string $check, array $input, string $name): ?float
    {
        $value = self::judge($check, $input)->values[$name]->value ?? null;

        return $value === null ? null : (float) $value;
    }

    /**
     * @param array<string, mixed> $input
     * @return list<string> what the recording sets off, each as "verb kind where"
     */
    private static function setsOff(string $check, array $input): array
    {
        $told = fn (Effect $effect): string => trim(match (true) {
            $effect->opens !== null => "opens {$effect->opens->value}",
            $effect->closes !== null => "closes {$effect->closes->value}",
            $effect->starts !== null => "starts {$effect->starts->value} {$effect->minutes}",
            $effect->ends !== null => "ends {$effect->ends->value}",
            $effect->fact !== '' => "tells $effect->fact",
            $effect->leaves !== '' => "leaves $effect->leaves",
            default => "settles $effect->settles",
        } . " $effect->where");

        return array_map($told, self::judge($check, $input)->sets);
    }

    /**
     * @param array<string, mixed> $input
     * @return array{string, string} the field that is refused and what is said of it
     */
    private static function refused(string $check, array $input): array
    {
        try {
            self::judge($check, $input);
        } catch (InputError $error) {
            return [$error->field, $error->getMessage()];
        }

        return ['', ''];
    }

    /** @param array<string, mixed> $input of the one recording there is */
    private static function past(string $check, string $subject, array $input): Past
    {
        return new Past([['check' => $check, 'subject' => $subject, 'status' => 'clear', 'codes' => [], 'input' => $input, 'values' => [], 'at' => 1]]);
    }
}
