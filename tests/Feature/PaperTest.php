<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Queries\RecordSheet;
use App\Records\RecordPaper;
use App\Support\CurrentCompany;
use App\Support\Role;
use App\Views\RecordView;
use App\Views\TapeEntry;

/** The record on paper holds all of it, whatever was written and however much. */
final class PaperTest extends FeatureTestCase
{
    private const MEMORY = 128 * 1_048_576;

    private User $lead;

    private Machine $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = $this->person(Role::Lead);
        $this->machine = $this->machine($this->lead);
    }

    public function testEveryEntryStandsInOrderWithWhatItSays(): void
    {
        $this->record($this->lead, $this->machine, 'power.rotation', ['meter' => 'cba'])->assertCreated();
        $this->record($this->lead, $this->machine, 'power.voltage', ['volts_ab' => '481 V', 'volts_bc' => '478 V', 'volts_ca' => '484 V', 'plate_voltage' => '460'])->assertCreated();
        $this->write($this->lead, "machines/{$this->machine->id}/suspects", ['at' => 2, 'reason' => 'battery low'])->assertCreated();
        $this->write($this->lead, "machines/{$this->machine->id}/notes", ['text' => "First line\nSecond line: Привет, ≥ 5 Ω"])->assertCreated();
        $text = $this->text($this->shown());
        $at = 0;
        foreach (['Evidence', 'Rotation stop', 'Voltage clear', 'Flagged: battery low', 'L1–L2 (A–B) 481 V', 'First line', 'Second line: Привет, ≥ 5 Ω'] as $words) {
            $found = mb_strpos($text, $words, $at);
            self::assertNotFalse($found, "$words, in: $text");
            $at = $found;
        }
        self::assertStringContainsString('reads C-B-A', $text);
    }

    public function testALineIsAsWideAsThePageAndNoLetterIsLostWhereItBreaks(): void
    {
        $word = implode('', array_map(fn (int $i): string => sprintf('%03d', $i), range(0, 299)));
        $this->write($this->lead, "machines/{$this->machine->id}/notes", ['text' => "before $word after " . str_repeat('warm panel ', 60)])->assertCreated();
        $text = $this->text($this->shown());
        self::assertStringContainsString($word, (string) preg_replace('/\s+/', '', $text));
        self::assertSame(60, substr_count((string) preg_replace('/\s+/', ' ', $text), 'warm panel'));
        foreach (explode("\n", $text) as $line) {
            self::assertLessThan(150, mb_strlen($line));
        }
    }

    public function testAThousandLongNotesArePagesOfPaperAndLittleMemory(): void
    {
        $this->write($this->lead, "machines/{$this->machine->id}/notes", ['text' => 'x'])->assertCreated();
        $record = $this->shown();
        $note = fn (int $n): TapeEntry => new TapeEntry(...['at' => $n, 'headline' => "Note $n begins. " . str_repeat('The panel was warm and the lugs were tight. ', 44) . "Note $n ends."] + get_object_vars($record->evidence[0]));
        $many = new RecordView(...['evidence' => array_map($note, range(1, 1000))] + get_object_vars($record));
        gc_collect_cycles();
        $before = memory_get_usage();
        memory_reset_peak_usage();
        $text = $this->text($many);
        self::assertLessThan(self::MEMORY, memory_get_peak_usage() - $before);
        foreach ([1, 500, 1000] as $n) {
            self::assertStringContainsString("Note $n begins.", $text);
            self::assertMatchesRegularExpression("/Note\\s+$n\\s+ends\\./", $text);
        }
        self::assertGreaterThan(200, substr_count($text, "\f"), 'pages');
    }

    private function shown(): RecordView
    {
        return app(CurrentCompany::class)->as($this->lead->company_id, fn (): RecordView => app(RecordSheet::class)->of($this->machine->refresh(), $this->lead->company));
    }

    private function text(RecordView $record): string
    {
        return self::printed(app(CurrentCompany::class)->as($this->lead->company_id, fn (): string => app(RecordPaper::class)->of($this->machine, $record, 'UTC')));
    }
}
