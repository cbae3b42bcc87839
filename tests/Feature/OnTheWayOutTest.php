<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;

/** What is written down on the way out: days that come back by themselves, a page for whoever pays, the maker's form. */
final class OnTheWayOutTest extends FeatureTestCase
{
    private User $lead;
    private Machine $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = $this->person(Role::Lead);
        $this->machine = $this->machine($this->lead);
    }

    public function testALookIsOnTodayFromItsDayUntilItIsRead(): void
    {
        $this->look('2000-01-01', 'voltage');
        $this->look('2999-01-01', 'amps');
        self::assertSame([['Is the power good enough to run on?', 7]], array_map(fn (array $due): array => [$due['what'], $due['gate']], $this->due()));
        $read = $this->record($this->lead, $this->machine, 'power.voltage', ['plate_voltage' => '460', 'volts_ab' => '481 V', 'volts_bc' => '478 V', 'volts_ca' => '484 V', 'loaded' => false])->assertCreated();
        self::assertSame([], $this->due());
        $this->write($this->lead, "machines/{$this->machine->id}/suspects", ['at' => $read->json('at'), 'reason' => 'wrong meter'])->assertCreated();
        self::assertCount(1, $this->due(), 'a flagged reading closes nothing');
    }

    public function testALookThatIsMovedIsThereOnce(): void
    {
        $this->look('2000-01-01', 'amps');
        $this->look('2000-02-01', 'amps');
        self::assertSame(['2000-02-01'], array_column($this->due(), 'day'));
        $this->look('2999-02-01', 'amps');
        self::assertSame([], $this->due());
    }

    public function testARegistrationIsDueUntilItIsDone(): void
    {
        $this->record($this->lead, $this->machine, 'entry.warranty', ['register_by' => '2000-01-01', 'parts_until' => '2999-01-01'])->assertCreated();
        self::assertSame([['register', '2000-01-01', 'Register by']], array_map(fn (array $due): array => [$due['kind'], $due['day'], $due['what']], $this->due()));
        $this->record($this->lead, $this->machine, 'entry.warranty', ['register_by' => '2000-01-01', 'registered' => '1999-12-01'])->assertCreated();
        self::assertSame([], $this->due());
    }

    public function testAnOpenItemIsDueOnTheDayItsLastOwnerTook(): void
    {
        $item = $this->write($this->lead, "machines/{$this->machine->id}/items", ['what' => 'Insulate the last yard', 'owner' => 'Rafe', 'due' => '2099-01-01', 'check' => '', 'subject' => ''])->assertCreated()->json('at');
        self::assertSame([], $this->due());
        $this->write($this->lead, "machines/{$this->machine->id}/items/$item/own", ['owner' => 'Mina', 'due' => '2000-01-02'])->assertCreated();
        self::assertSame([['item', '2000-01-02', 'Insulate the last yard']], array_map(fn (array $due): array => [$due['kind'], $due['day'], $due['what']], $this->due()));
        $this->write($this->lead, "machines/{$this->machine->id}/items/$item/done", ['word' => 'done'])->assertCreated();
        self::assertSame([], $this->due());
    }

    public function testTheCalendarHoldsEveryDayAndKeepsItsNameWhenItIsMoved(): void
    {
        $this->look('2030-05-04', 'charge');
        $this->record($this->lead, $this->machine, 'entry.warranty', ['registered' => '2030-04-01', 'parts_until' => '2031-04-01', 'compressor_until' => '2035-04-01'])->assertCreated();
        $events = $this->events("machines/{$this->machine->id}/days.ics");
        self::assertSame(['20300504', '20310401', '20350401'], array_map(fn (array $event): string => $event[0], $events));
        self::assertSame(['Next look: Is the charge right? (RTU-9)', 'Warranty: Parts covered until (RTU-9)', 'Warranty: Compressor covered until (RTU-9)'], array_map(fn (array $event): string => $event[1], $events));
        $this->look('2030-05-05', 'charge');
        $moved = $this->events('days.ics');
        self::assertSame('20300505', $moved[0][0]);
        self::assertSame(array_column($events, 2), array_column($moved, 2));
    }

    public function testNobodySeesTheDaysOfAJobThatIsNotTheirs(): void
    {
        $this->look('2000-01-01', 'amps');
        $helper = $this->person(Role::Starter, $this->lead->company);
        self::assertSame([], $this->due($helper));
        self::assertSame([], $this->due($this->person(Role::Lead)));
        self::assertCount(1, $this->due());
    }

    public function testAFindingGoesOutOnOnePage(): void
    {
        $this->record($this->lead, $this->machine, 'entry.finding', ['sentence' => 'The disconnect is burnt on one leg.', 'state_left' => 'off and locked', 'needs' => 'a new disconnect', 'cost' => 'about a day', 'evidence' => ['volts', 'photo']])->assertCreated();
        $text = (string) preg_replace('/\s+/', ' ', self::printed((string) $this->actingAs($this->lead)->get("/api/v1/machines/{$this->machine->id}/pages/finding.pdf")->assertOk()->getContent()));
        foreach (['What we found', 'The disconnect is burnt on one leg.', 'off and locked', 'a new disconnect', 'about a day', '1 / 1'] as $words) {
            self::assertStringContainsString($words, $text);
        }
    }

    public function testTheMakersFormIsAnsweredFromTheRecordAndGoesOutOnOnePage(): void
    {
        $this->record($this->lead, $this->machine, 'power.voltage', ['plate_voltage' => '460', 'volts_ab' => '481 V', 'volts_bc' => '478 V', 'volts_ca' => ['value' => 484, 'unit' => 'V']])->assertCreated();
        $wrong = $this->record($this->lead, $this->machine, 'power.rotation', ['meter' => 'cba'])->assertCreated()->json('at');
        $this->write($this->lead, "machines/{$this->machine->id}/suspects", ['at' => $wrong, 'reason' => 'leads swapped'])->assertCreated();
        $items = $this->actingAs($this->lead)->getJson("/api/v1/machines/{$this->machine->id}")->json('prefill')['entry.maker_form']['machine']['items'];
        $answers = array_column($items, 'answer', 'name');
        self::assertSame(['Voltage L1-L2' => '481 V', 'Voltage L2-L3' => '478 V', 'Voltage L3-L1' => '484 V'], $answers);
        self::assertCount(10, $items);
        $this->record($this->lead, $this->machine, 'power.rotation', ['meter' => 'abc'])->assertCreated();
        $items = $this->actingAs($this->lead)->getJson("/api/v1/machines/{$this->machine->id}")->json('prefill')['entry.maker_form']['machine']['items'];
        self::assertSame('A-B-C', array_column($items, 'answer', 'name')['Phase rotation']);
        $this->record($this->lead, $this->machine, 'entry.maker_form', ['items' => [['name' => 'Filters in place and clean', 'answer' => 'yes, six'], ['name' => 'Voltage L1-L2', 'answer' => '481 V']]])->assertCreated();
        $text = (string) preg_replace('/\s+/', ' ', self::printed((string) $this->actingAs($this->lead)->get("/api/v1/machines/{$this->machine->id}/pages/form.pdf")->assertOk()->getContent()));
        self::assertStringContainsString('Filters in place and clean yes, six', $text);
        self::assertStringContainsString('Voltage L1-L2 481 V', $text);
    }

    private function look(string $day, string $read): void
    {
        $this->record($this->lead, $this->machine, 'entry.next_look', ['day' => $day, 'read' => $read])->assertCreated();
    }

    /** @return list<array<string, mixed>> */
    private function due(?User $person = null): array
    {
        app(CurrentCompany::class)->set(null);

        return $this->actingAs($person ?? $this->lead)->getJson('/api/v1/today')->assertOk()->json('due');
    }

    /** @return list<array{string, string, string}> day, words and name of each */
    private function events(string $path): array
    {
        app(CurrentCompany::class)->set(null);
        $file = Reader::read((string) $this->actingAs($this->lead)->get("/api/v1/$path")->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->getContent());
        self::assertInstanceOf(VCalendar::class, $file);
        $events = [];
        foreach ($file->select('VEVENT') as $event) {
            $events[] = [(string) $event->DTSTART, (string) $event->SUMMARY, (string) $event->UID];
        }

        return $events;
    }
}
