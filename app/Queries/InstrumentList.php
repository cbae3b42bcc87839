<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Instrument;
use App\Views\InstrumentView;
use Carbon\CarbonImmutable;

/** The company's instruments, by name. */
final class InstrumentList
{
    /** @return list<InstrumentView> */
    public function all(): array
    {
        $now = CarbonImmutable::now();

        return array_values(Instrument::query()->orderBy('name')->get()->map(fn (Instrument $i): InstrumentView => new InstrumentView(
            $i->id,
            $i->name,
            $i->kind,
            $i->serial,
            $i->accuracy,
            $i->calibration_due?->toDateString() ?? '',
            $i->isOverdue($now),
            $i->logger === null ? null : (object) $i->logger,
        ))->all());
    }
}
