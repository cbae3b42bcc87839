<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Check;

use IronStart\Core\Check\Field;
use IronStart\Core\Check\FieldType;
use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Gate\FactPlace;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Judge\Registry;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Walked\ItemList;
use IronStart\Core\Wording\Phrases;
use PHPUnit\Framework\TestCase;

/**
 * What each check asks for, how a box starts, what is pressed, and which facts are asked where: as it was last read
 * through. After a change that is meant: `GOLDEN=write vendor/bin/phpunit --filter FieldsTest`, then read the difference.
 */
final class FieldsTest extends TestCase
{
    public function testTheFieldsAreTheOnesThatWereRead(): void
    {
        $lines = [];
        foreach ((new Registry())->ids() as $id) {
            $check = (new Registry())->get($id);
            $lines = [...$lines, "$id {$check->version()}", ...$this->fields($id, $check->fields(), '')];
            foreach ($check instanceof ItemList ? $check::list() : [] as $item) {
                $types = $item->types === null ? '' : ' for ' . implode(', ', array_map(fn (JobType $t): string => $t->value, $item->types));
                $lines[] = "  item $item->id" . ($item->must ? ' must' : '') . ($item->always ? ' always' : '') . $types . implode('', array_map(fn (string $r): string => " ready: $r", Phrases::shipped()->readyReasons($id, $item->id)));
            }
        }
        $this->assertGolden('fields', $lines);
    }

    public function testTheUnitsAreTheOnesThatWereRead(): void
    {
        $lines = [];
        foreach (Kind::cases() as $kind) {
            $lines[] = "$kind->value: " . implode(' ', array_map(fn (string $u): string => $u . (Units::sign($u) === $u ? '' : ' (' . Units::sign($u) . ')') . ' ' . json_encode(round(Units::toCanonical(100, $u, $kind), 9)), Units::of($kind))) . '; starts ' . Units::start($kind, 'us') . ', ' . Units::start($kind, 'si');
            self::assertContains(Units::start($kind, 'us'), Units::of($kind));
            self::assertContains(Units::start($kind, 'si'), Units::of($kind));
        }
        $this->assertGolden('units', $lines);
    }

    public function testTheFactsAreAskedWhereTheyWereRead(): void
    {
        $built = (new Registry())->ids();
        $all = [...$built, 'run.first_start', 'run.warm_up', 'safety.leak_sensor', 'power.grounding', 'power.dials', 'power.motor_tap', 'vrf.wire_map', 'piping.reuse', 'heat.heat_pump', 'controls.alarms', 'safety.smoke'];
        $lines = [];
        foreach (JobType::cases() as $type) {
            foreach (range(1, 12) as $gate) {
                $now = FactPlace::at($gate, $type, $built);
                $lines[] = "$type->value $gate: " . implode(' ', array_map(fn (string $f): string => in_array($f, $now, true) ? $f : "($f)", FactPlace::at($gate, $type, $all)));
            }
        }
        $lines[] = 'of the machine: ' . implode(' ', FactPlace::OF_THE_MACHINE);
        $this->assertGolden('facts', $lines);
    }

    public function testTheChecksBelongWhereTheyWereRead(): void
    {
        $lines = [];
        foreach (CheckTable::checks() as $check) {
            $of = fn (string $base, bool $change = false): string => implode(' ', CheckTable::belongs($check, $base, range(1, 12), $change));
            $parts = array_map(fn (string $base): string => "$base " . $of($base), ['machine', 'old_disconnect', 'loaded', 'planned', 'built', 'compressor:A']);
            $late = implode(' ', CheckTable::belongs($check, 'machine', [7, 8, 9, 10, 11, 12], false));
            $marks = array_keys(array_filter([
                'running' => CheckTable::isRunning($check, 'machine'), 'ordered' => CheckTable::isOrdered($check, 'machine'), 'loaded is running' => CheckTable::isRunning($check, 'loaded'),
                'hangs on the supply' => CheckTable::hangsOnSupply($check), 'hangs on the direction in 7' => CheckTable::hangsOnDirection($check, 'machine', 7), 'in 8' => CheckTable::hangsOnDirection($check, 'machine', 8),
                'needs the start in 7' => CheckTable::needsStart($check, 'machine', 7), 'in 8 too' => CheckTable::needsStart($check, 'machine', 8), 'may wait for the season' => CheckTable::isDeferred($check, null),
            ]));
            $lines[] = "$check: " . implode(', ', $parts) . '; of a compressor change machine ' . $of('machine', true) . "; start-up only $late; one of " . CheckTable::oneOf($check) . '; undone by ' . implode(' ', CheckTable::undoneBy($check)) . '; ' . implode(', ', $marks);
        }
        $this->assertGolden('belongs', $lines);
    }

    /**
     * @param list<Field> $fields
     * @return list<string>
     */
    private function fields(string $id, array $fields, string $path): array
    {
        $lines = [];
        foreach ($fields as $field) {
            $marks = array_keys(array_filter(['told' => $field->told, 'brought' => $field->brought, 'of the job' => $field->ofJob, 'of the reader' => $field->ofReader, 'the sheet starts it' => $field->sheetStarts, 'by the clock' => $field->isNow, 'on a condition' => $field->when !== null]));
            $words = $id === 'job.gates' || $field->type === FieldType::Choices ? $field->options : array_map(fn (string|int $o): string => "$o=" . Phrases::shipped()->option($id, $path . $field->name, $o), $field->options);
            $lines[] = "  $path$field->name: {$field->type->value}, {$field->need->value}, {$field->accepted()}"
                . ($field->instrument === null ? '' : ", read with {$field->instrument->value}")
                . ($field->sheet === '' ? '' : ", sheet $field->sheet")
                . ($field->starts === '' ? '' : ", starts $field->starts")
                . ($field->default === null ? '' : ', else ' . json_encode($field->default))
                . ($field->uniqueBy === null ? '' : ", unique by $field->uniqueBy")
                . ($field->orFlag === null ? '' : ", or $field->orFlag")
                . ($marks === [] ? '' : ', ' . implode(', ', $marks))
                . ($words === [] ? '' : ' [' . implode(' | ', $words) . ']');
            $lines = [...$lines, ...$this->fields($id, $field->fields, "$path$field->name.")];
        }

        return $lines;
    }

    /** @param list<string> $lines */
    private function assertGolden(string $name, array $lines): void
    {
        $file = dirname(__DIR__) . "/Fixtures/golden/$name.txt";
        $text = implode("\n", $lines) . "\n";
        if (getenv('GOLDEN') === 'write') {
            file_put_contents($file, $text);
        }
        self::assertSame((string) file_get_contents($file), $text);
    }
}
