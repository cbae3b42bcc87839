<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\RecordedVerdict;
use App\Models\SuspectMark;
use Illuminate\Support\Collection;

/**
 * What has been proved on a compressor since it ran backwards is read from the record, not told by a device.
 */
final class FillChecked
{
    private const PROOFS = ['compressor.windings' => 'windings', 'compressor.insulation' => 'insulation', 'compressor.acid' => 'oil_acid'];

    /** The rotation's input with each load's `checked` filled in. */
    public function in(mixed $raw, int $machineId): mixed
    {
        $loads = $raw instanceof \stdClass ? ($raw->loads ?? null) : null;
        if (! is_array($loads)) {
            return $raw;
        }
        $checked = $this->byLoad($machineId);
        $filled = clone $raw;
        $filled->loads = array_map(function (mixed $load) use ($checked): mixed {
            if (! $load instanceof \stdClass) {
                return $load;
            }
            $copy = clone $load;
            unset($copy->checked);
            $name = is_string($load->name ?? null) ? $load->name : '';
            if (($checked[$name] ?? []) !== []) {
                $copy->checked = $checked[$name];
            }

            return $copy;
        }, $loads);

        return $filled;
    }

    /** @return array<string, list<string>> by the name of the load */
    public function byLoad(int $machineId): array
    {
        $doubted = SuspectMark::query()->where('machine_id', $machineId)->pluck('target_at')->all();
        $verdicts = RecordedVerdict::query()->where('machine_id', $machineId)->whereNotIn('at', $doubted)
            ->whereIn('check', ['power.rotation', 'power.running_amps', ...array_keys(self::PROOFS)])->orderBy('at')->get();

        return self::since($verdicts);
    }

    /**
     * @param Collection<int, RecordedVerdict> $verdicts rising, doubted ones left out
     * @return array<string, list<string>>
     */
    private static function since(Collection $verdicts): array
    {
        $found = [];
        foreach ($verdicts as $verdict) {
            if ($verdict->check === 'power.rotation') {
                $reversed = array_filter($verdict->codes, fn (string $code): bool => $code === 'supply_reversed' || str_starts_with($code, 'load_reversed:'));
                $found = $reversed === [] ? $found : [];
                continue;
            }
            if (! in_array($verdict->status, ['clear', 'watch'], true)) {
                continue;
            }
            if ($verdict->check === 'power.running_amps') {
                foreach ($verdict->input['loads'] ?? [] as $load) {
                    $found[$load['name'] ?? '']['amps_pressures'] = true;
                }
            } elseif (str_starts_with($verdict->subject, 'compressor:')) {
                $found[substr($verdict->subject, strlen('compressor:'))][self::PROOFS[$verdict->check]] = true;
            }
        }

        return array_map(fn (array $proofs): array => array_keys($proofs), $found);
    }
}
