<?php

declare(strict_types=1);

namespace App\Records;

use App\Views\TapeEntry;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Wording\Formatter;

/** What stands on the label of a circuit: what is in it, of that how much from the factory, and what it would do in the air. */
final class ChargeLabel
{
    private const KILOGRAMS_A_TON = 1000.0;

    public function __construct(private readonly Formatter $formatter)
    {
    }

    /**
     * @param string $name of the refrigerant; '' where the sheet tells none
     * @return list<array{string, string}> of a charge that was weighed in
     */
    public function figures(TapeEntry $entry, string $name): array
    {
        $refrigerant = Refrigerant::named($name);
        $units = $this->units($entry);
        $mass = fn (?float $kg): string => $kg === null ? '' : $this->formatter->say(Said::charge($kg), $units);
        $total = self::kilograms($entry, 'total');
        $lines = self::kilograms($entry, 'line_charge');
        $parts = self::kilograms($entry, 'adders');
        $tons = $refrigerant === null || $total === null ? null : $total * $refrigerant->gwp() / self::KILOGRAMS_A_TON;

        return array_values(array_filter([
            ['Refrigerant', $refrigerant === null ? $name : "{$refrigerant->name()}, class {$refrigerant->safetyClass()}, GWP {$this->formatter->number($refrigerant->gwp(), 0)}"],
            ['From the factory', $total === null ? '' : $mass($total - ($lines ?? 0.0) - ($parts ?? 0.0))],
            ['For the lines', $mass($lines)],
            ['For parts', $parts === 0.0 ? '' : $mass($parts)],
            ['In this circuit', $mass($total)],
            ['CO2 equivalent', $tons === null ? '' : "{$this->formatter->number($tons, 1)} t"],
            ['Charged by', $entry->license === '' ? $entry->who : "$entry->who, license $entry->license"],
            ['On', substr($entry->placedAt, 0, 10)],
        ], fn (array $line): bool => $line[1] !== ''));
    }

    /** @return 'us'|'si' as the one who weighed reads them */
    private function units(TapeEntry $entry): string
    {
        $unit = ((array) $entry->values)['total']['unit'] ?? 'oz';

        return $unit === 'oz' || $unit === 'lb' ? 'us' : 'si';
    }

    private static function kilograms(TapeEntry $entry, string $name): ?float
    {
        $value = ((array) $entry->values)[$name] ?? null;

        return is_array($value) && is_numeric($value['value'] ?? null) && is_string($value['unit'] ?? null) ? Units::toCanonical((float) $value['value'], $value['unit'], Kind::Mass) : null;
    }
}
